/**
 * Changing a format: its shape, its size and its files. Start at {@link nexa.desktop.formats.FormatEditor}.
 */
package nexa.desktop.formats;
