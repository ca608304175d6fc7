/**
 * What reshapes a photo's picture: the lens's bending and the perspective taken out. Pure maths over a photo's width and
 * height; knows no screen, file or shoot, and of the rest of core only {@code geometry} and
 * {@code message}. Start at {@link nexa.core.shape.Plane}, which puts the parts together; {@link nexa.core.shape.FromLines}
 * works a perspective out from lines.
 */
package nexa.core.shape;
