/**
 * Fills what a crop takes in outside its photo. It is decided and solved by a small picture of the photo, and painted at any
 * size from the photo's own pixels, so that screen and files show the same. Start at {@link nexa.imaging.fill.EdgeFill}.
 */
package nexa.imaging.fill;
