/**
 * The words for people, from resource bundles, and how numbers are written. The window and the command line use it; nothing
 * below them does. Start at {@link nexa.words.Words}.
 */
package nexa.words;
