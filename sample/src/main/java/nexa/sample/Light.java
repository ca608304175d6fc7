package nexa.sample;

/** Where the light of a scene comes from. */
interface Light {
    /** The light that falls straight onto a surface, from one random spot of the source. */
    Vec direct(Scene scene, Vec point, Vec normal, Sampler random);

    /** What is seen where nothing is in the way. */
    Vec background(Vec origin, Vec direction);

    /** The light of the surroundings from a direction. */
    Vec ambient(Vec direction);

    /** How far off things still throw light on each other, in metres. */
    double reach();
}
