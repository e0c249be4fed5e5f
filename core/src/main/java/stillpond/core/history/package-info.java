/** What can be taken back and done again, and what taking something back leaves alone. */
package stillpond.core.history;
