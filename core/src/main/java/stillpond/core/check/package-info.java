/** What is wrong or suspicious on a sheet. */
package stillpond.core.check;
