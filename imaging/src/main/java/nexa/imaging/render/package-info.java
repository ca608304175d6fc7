/** Turning, cropping and resizing of pixels. Start at {@link nexa.imaging.render.CropRenderer}. */
package nexa.imaging.render;
