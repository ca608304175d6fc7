/**
 * A shoot being worked on: its present state, history, pictures and saving. Everything here is called on the JavaFX
 * thread, and does its reading and writing elsewhere. Start at {@link nexa.desktop.session.ShootSession}.
 */
package nexa.desktop.session;

