/**
 * Pixels and metadata: reading photos, making pictures for the screen, and delivering files. Knows core, no JavaFX. Photos
 * are only ever opened for reading.
 *
 * <p>{@link nexa.imaging.read} reads, {@link nexa.imaging.render} turns, crops and resizes, {@link nexa.imaging.deliver}
 * writes files.
 */
package nexa.imaging;
