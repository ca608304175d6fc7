/**
 * Choosing a format and changing one: its shape, its size and its files. The views and the shell may use it. Start at {@link
 * nexa.desktop.formats.FormatEditor}.
 */
package nexa.desktop.formats;
