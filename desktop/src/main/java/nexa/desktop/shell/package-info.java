/** The window: the top bar, the page without a shoot, the keys, and what all views share. Start at {@link nexa.desktop.shell.Shell}. */
package nexa.desktop.shell;

