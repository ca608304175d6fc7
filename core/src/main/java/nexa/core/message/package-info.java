/**
 * What there is to tell people, without the words: reasons and values. Everything may use it; whoever shows it has the words.
 * Start at {@link nexa.core.message.Message}.
 */
package nexa.core.message;
