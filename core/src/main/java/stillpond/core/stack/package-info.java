/**
 * The layers of a sheet: how each <em>stands</em> in it, and their order. A layer has ink, cells and fills of its own and is as large as the page; what a front layer fills hides what lies
 * behind, and where it wears nothing it is a window.
 */
package stillpond.core.stack;
