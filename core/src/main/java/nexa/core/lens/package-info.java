/**
 * What is known of lenses: what was measured of them, what follows between the measurements, and which of them took a photo.
 */
package nexa.core.lens;
