/**
 * A shoot being worked on: its present state, history, pictures and saving. Everything here is called on the JavaFX
 * thread, and does its reading and writing elsewhere. Knows no view; the views may use it, and what they share. Start at {@link
 * nexa.desktop.session.ShootSession}.
 */
package nexa.desktop.session;
