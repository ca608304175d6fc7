package nexa.sample;

/** How a photo of the sample is stored: the odd ones on a photographer's card. */
enum Storage {
    JPEG("jpg"),
    /** With a colour profile wider than sRGB. */
    WIDE_GAMUT("jpg"),
    /** With black bars above and below. */
    BARS("jpg"),
    /** With the plain border of a scan. */
    SCAN("jpg"),
    /** Cut off in the middle of the file. */
    DAMAGED("jpg"),
    PNG("png"),
    /** 16 bits a channel, compressed. */
    TIFF("tif"),
    WEBP("webp"),
    /** As the sensor saw it, with the camera's JPEG inside. */
    RAW("dng"),
    /** A JPEG with the raw file of the same name beside it. */
    JPEG_AND_RAW("jpg");

    private final String ending;

    Storage(String ending) {
        this.ending = ending;
    }

    String ending() {
        return ending;
    }
}
