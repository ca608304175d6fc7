/**
 * The shoot on disk: the shoot document, where it is kept, the photos of a folder, and the shoots opened lately. Knows
 * files and JSON, no pictures and no screen; of Nexa it may use core only. The command line and the desktop may use it. Photos are
 * only ever listed here, never opened. Start at {@link nexa.store.ShootFolder}.
 */
package nexa.store;
