/** Sheets that are blocked in: begun without line art, with shapes and a reference picture. */
package stillpond.app.blockin;
