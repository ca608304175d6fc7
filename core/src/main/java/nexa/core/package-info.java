/**
 * The heart of Nexa: what a crop is and how it moves. Pure computation on immutable values, without files, pictures or
 * screens. Start at {@link nexa.core.series.Crops}, which tells the crop every photo has in every format.
 *
 * <p>Everywhere in core a photo is W × H pixels as it is seen after its EXIF orientation, quarter turns and mirroring. x
 * runs right, y runs down, the origin is the top-left corner, and pixel k spans k … k + 1. Angles are in degrees and
 * positive when the photo is turned clockwise on screen. A crop is upright on screen.
 *
 * <p>Each package may use those named after it here, and nothing else but plain Java; {@code PackageRules} holds this:
 *
 * <ul>
 *   <li>{@link nexa.core.message}: none; {@link nexa.core.geometry}: message
 *   <li>{@link nexa.core.crop}, {@link nexa.core.guide}, {@link nexa.core.level}: geometry
 *   <li>{@link nexa.core.format}, {@link nexa.core.shape}: geometry, message
 *   <li>{@link nexa.core.lens}: geometry, shape
 *   <li>{@link nexa.core.shoot}: format, geometry, message, shape
 *   <li>{@link nexa.core.series}: format, geometry, message, shape, shoot
 *   <li>{@link nexa.core.find}: geometry, level, series, shape, shoot
 *   <li>{@link nexa.core.propose}: find, geometry, guide, series, shape, shoot
 * </ul>
 */
package nexa.core;
