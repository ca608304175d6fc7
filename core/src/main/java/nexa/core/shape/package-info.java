/**
 * What reshapes a photo's picture: the lens's bending and the perspective taken out. Pure maths over a photo's width and
 * height; knows no screen, file or shoot, and of the rest of core only {@code geometry}. Rendering and
 * whoever puts a photo's plane together may use it. Start at
 * {@link nexa.core.shape.Plane}, which puts the parts together.
 */
package nexa.core.shape;
