/** A shoot in its two places: opened, recorded, saved. Start at {@link nexa.store.shoot.ShootFolder}. */
package nexa.store.shoot;
