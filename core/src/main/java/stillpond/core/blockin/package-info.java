/** Sheets that are blocked in: closed shapes that make cells, lines that divide them, and shapes suggested from a picture. */
package stillpond.core.blockin;
