/**
 * Draws the sample shoot: a made-up pottery photographs its spring firing. A development tool, never part of the
 * application; nothing uses it, and of Nexa it may use nothing. Start at {@link nexa.sample.DrawSample}; the photos are listed in {@link nexa.sample.FernhillShoot}.
 *
 * <p>Lengths are metres, y points up, z towards the photographer, and the workbench's top is the plane y = 0.
 */
package nexa.sample;
