/**
 * Photos' pixels as they are seen, at the size wanted: for the screen, kept and read in the background, and for files. Delivery
 * and the desktop may use it. Start at {@link nexa.imaging.pictures.PictureLibrary}, and at {@link
 * nexa.imaging.pictures.PixelStages} for what happens to pixels on their way.
 */
package nexa.imaging.pictures;
