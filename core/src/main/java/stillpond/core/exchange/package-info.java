/** Cards in files: out to a colleague, and in again. */
package stillpond.core.exchange;
