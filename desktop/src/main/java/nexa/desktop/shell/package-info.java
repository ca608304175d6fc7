/**
 * The window: opening a shoot, the page without one, the top bar, the keys of every view, messages, and closing. Nothing but
 * the application itself may use it. Start at {@link nexa.desktop.shell.Shell}.
 */
package nexa.desktop.shell;
