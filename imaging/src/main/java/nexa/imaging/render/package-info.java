/**
 * Turning, cropping and resizing of pixels. Knows of photos only what core says; pictures and delivery may use it. Start at
 * {@link nexa.imaging.render.CropRenderer}.
 */
package nexa.imaging.render;
