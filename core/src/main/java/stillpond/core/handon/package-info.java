/** What is handed on: which shapes a sheet consists of for the next person, in what order and by which names. Files themselves are written in {@code format}. */
package stillpond.core.handon;
