/** Every colour in use, and which of them are hard to tell apart. */
package stillpond.core.ledger;
