/** The contact sheet. Start at {@link nexa.desktop.sheet.SheetView}. */
package nexa.desktop.sheet;

