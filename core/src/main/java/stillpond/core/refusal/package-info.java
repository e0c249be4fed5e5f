/** How whatever cannot be done is refused. */
package stillpond.core.refusal;
