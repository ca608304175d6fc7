/**
 * Pixels and metadata: reading photos, making pictures for the screen, and delivering files. Knows core, no JavaFX. Photos
 * are only ever opened for reading.
 *
 * <p>Each package may use those named after it here, and nothing else of imaging; {@code PackageRules} holds this:
 *
 * <ul>
 *   <li>{@link nexa.imaging.work}: none, not even core; {@link nexa.imaging.render}: none
 *   <li>{@link nexa.imaging.decode}: none
 *   <li>{@link nexa.imaging.raw}: decode, render, work
 *   <li>{@link nexa.imaging.facts}: decode, raw; {@link nexa.imaging.fill}: decode, render, work
 *   <li>{@link nexa.imaging.tone}: render
 *   <li>{@link nexa.imaging.pictures}: decode, facts, fill, raw, render, tone, work
 *   <li>{@link nexa.imaging.find}: decode, facts, pictures, render
 *   <li>{@link nexa.imaging.deliver}: all of them but find and tone
 * </ul>
 */
package nexa.imaging;
