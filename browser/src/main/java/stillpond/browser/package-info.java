/**
 * What the browser runs of the core: a typed facade over its classes, which is compiled to a script. Nothing is decided here.
 *
 * <p>Numbers, texts and arrays of them cross; arrays are copied. A method that is exported is covered by the test that asks the JVM and the script the same questions.
 */
package stillpond.browser;
