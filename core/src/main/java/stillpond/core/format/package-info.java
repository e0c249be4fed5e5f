/**
 * Readers and writers of files.
 *
 * <p>Files from outside are data: never executed, never fetched from elsewhere, and measured before they are unpacked. Whatever is
 * wrong with one ends in an {@link stillpond.core.format.UnreadableFile} whose message a user can act on.
 */
package stillpond.core.format;
