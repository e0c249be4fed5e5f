/** On every page with a link to the search, "/" goes there, unless somebody is typing; the desk has a key of its own for it. */
export function goToSearchByKey(): void {
  document.addEventListener("keydown", (event) => {
    const search = document.querySelector<HTMLAnchorElement>("#to-search");
    const isTyping = (event.target as Element).closest("input, textarea, select, [contenteditable]") !== null;
    if (search && event.key === "/" && !isTyping && !event.ctrlKey && !event.metaKey && !event.altKey) {
      event.preventDefault();
      search.click();
    }
  });
}
