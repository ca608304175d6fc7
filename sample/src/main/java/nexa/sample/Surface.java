package nexa.sample;

/** Something light falls on. */
interface Surface {
    /** No hit. */
    double NONE = Double.POSITIVE_INFINITY;

    /** The distance along the ray to the nearest hit beyond {@code least}, or {@link #NONE}. */
    double hit(Vec origin, Vec direction, double least);

    /** What the surface is like at a point that {@link #hit} found. */
    Patch at(Vec point, Vec direction);

    /** The colour of the whole, for the light it throws on its neighbours. */
    Vec tint();

    /**
     * A spot on a surface.
     *
     * @param normal the unit normal, on the viewer's side
     * @param colour the linear share of light scattered
     * @param gloss how much of a mirror the surface is at a right angle, 0 to 1
     * @param blur how far reflections are spread, 0 sharp
     */
    record Patch(Vec normal, Vec colour, double gloss, double blur) {}
}
