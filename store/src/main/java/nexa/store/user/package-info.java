/** What is kept for the photographer outside any shoot: preferences, formats, findings, recent shoots. */
package nexa.store.user;
