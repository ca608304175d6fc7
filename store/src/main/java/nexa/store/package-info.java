/**
 * What lies on disk: knows files and JSON, no pictures and no screen; of Nexa it may use core and files only. The command line and
 * the desktop may use it. Photos are only ever listed here, never opened.
 *
 * <ul>
 *   <li>{@link nexa.store.json}: how values are written as JSON and read from it; {@link nexa.store.document}: the shoot document,
 *       a codec a value
 *   <li>{@link nexa.store.shoot}: where a shoot's document is kept, opened, recorded and saved, and the photos of a folder. Start
 *       at {@link nexa.store.shoot.ShootFolder}
 *   <li>{@link nexa.store.user}: what is kept for the photographer outside any shoot; {@link nexa.store.lens}: what is known of
 *       lenses
 * </ul>
 */
package nexa.store;
