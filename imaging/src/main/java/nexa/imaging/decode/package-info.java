/**
 * Reading photos: what they say of themselves, and their pixels at the size wanted, in the background. Start at
 * {@link nexa.imaging.pictures.PictureLibrary} for pictures and {@link nexa.imaging.facts.PhotoFacts} for the rest.
 */
package nexa.imaging.read;
