/** Whether whoever is here is a guest, who only looks; the server holds to it whatever a page does. */
export const LOOKS_ONLY = document.querySelector("meta[name=looks-only]") !== null;
