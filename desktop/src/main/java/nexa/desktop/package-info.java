/**
 * The desktop application. Views draw from {@link nexa.desktop.session.ShootSession} and send it what the photographer
 * does; they keep no copy of the shoot and compute no crops. Start at {@link nexa.desktop.shell.Shell}.
 *
 * <p>Each package may use those named after it here, and nothing else of the desktop; {@code PackageRules} holds this:
 *
 * <ul>
 *   <li>{@link nexa.desktop.parts}: none; {@link nexa.desktop.session}: none
 *   <li>{@link nexa.desktop.picture}: parts; {@link nexa.desktop.stage}: parts, picture
 *   <li>{@link nexa.desktop.formats}: parts, session; {@link nexa.desktop.find}: parts, picture, session
 *   <li>{@link nexa.desktop.lens}: parts, session
 *   <li>{@link nexa.desktop.series}: find, parts, picture, session
 *   <li>{@link nexa.desktop.desk}: parts
 *   <li>{@link nexa.desktop.tool}: parts, session, stage, desk, series, find; each tool below it: these, tool, and what it is
 *       about
 *   <li>the views, {@link nexa.desktop.sheet}, {@link nexa.desktop.easel}, {@link nexa.desktop.lineup}, {@link
 *       nexa.desktop.handover}: everything above, and no view another one; only the easel uses desk, stage and tools
 *   <li>{@link nexa.desktop.shell}: everything but desk, stage and tools
 * </ul>
 */
package nexa.desktop;
