package nexa.imaging.decode;

import org.bytedeco.opencv.opencv_core.Mat;

/**
 * Pixels as they come from the decoder.
 *
 * @param pixels grey, BGR or BGRA, of 8 or 16 bits
 * @param isInSrgb whether decoding has turned the colours into sRGB, so that the file's profile is not theirs any more
 */
public record Decoded(Mat pixels, boolean isInSrgb) {}
