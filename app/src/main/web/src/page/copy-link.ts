/** An Alpine component: copies the link in its field. */
export const copyLink = () => ({
  label: "Copy the link",
  $refs: {} as { link: HTMLInputElement },

  async copy(): Promise<void> {
    this.$refs.link.select();
    try {
      await navigator.clipboard.writeText(this.$refs.link.value);
      this.label = "Copied";
    } catch {
      // Not every browser lets a page write there, and none does without TLS; the link is selected.
      this.label = "Press Ctrl C";
    }
  },
});
