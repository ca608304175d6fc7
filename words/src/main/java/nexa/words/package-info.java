/**
 * The words for people, from resource bundles, and how numbers are written. The window and the command line may use it,
 * and nothing below them; of Nexa it may use core only. Start at {@link nexa.words.Words}.
 */
package nexa.words;
