/** Plates: what each ink of a press prints of a page. */
package stillpond.core.plate;
