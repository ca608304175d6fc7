/**
 * Points, sizes, angles and the outline of a turned photo. Knows nothing of formats or shoots; everything may use it. Start
 * at {@link nexa.core.geometry.Outline}.
 */
package nexa.core.geometry;
