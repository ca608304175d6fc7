/**
 * The contact sheet, and what is done to photos chosen there. Only the shell may use it. Start at {@link
 * nexa.desktop.sheet.SheetView}.
 */
package nexa.desktop.sheet;
