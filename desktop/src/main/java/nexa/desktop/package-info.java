/**
 * The desktop application. Views draw from {@link nexa.desktop.session.ShootSession} and send it what the photographer
 * does; they keep no copy of the shoot and compute no crops. Start at {@link nexa.desktop.shell.Shell}.
 */
package nexa.desktop;
