/**
 * The small parts and the words that all views are built of. Knows core, and nothing of shoots being worked on; everything in
 * the desktop may use it. Start at {@link nexa.desktop.parts.Parts} and {@link nexa.desktop.parts.View}.
 */
package nexa.desktop.parts;
