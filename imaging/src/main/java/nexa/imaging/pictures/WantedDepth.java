package nexa.imaging.pictures;

/** How finely the numbers of a photo's pixels are wanted. */
public enum WantedDepth {
    /** With 8 bits. */
    EIGHT,
    /** With as many as they have in the file, 8 or 16. */
    STORED,
    /** For a file with 16 bits: 16, or floats in such numbers where the photo's own file has 8. */
    SIXTEEN
}
