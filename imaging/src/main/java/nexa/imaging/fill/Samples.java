package nexa.imaging.fill;

import java.nio.ByteBuffer;
import java.nio.FloatBuffer;
import java.nio.ShortBuffer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.opencv_core.Mat;

/** The numbers of some pixels, one after another, in memory that is quick to get at. */
sealed interface Samples {
    float SIXTEEN_OVER_EIGHT = 257;

    /** Of pixels of 8 or 16 bits, or of floats in numbers of 16 bits, in one piece. */
    static Samples of(Mat pixels) {
        int count = Math.multiplyExact(Math.multiplyExact(pixels.cols(), pixels.rows()), pixels.channels());
        if (pixels.depth() == opencv_core.CV_32F) {
            float[] numbers = new float[count];
            ((FloatBuffer) pixels.createBuffer()).get(numbers);
            return new Floats(numbers);
        }
        if (pixels.depth() == opencv_core.CV_16U) {
            short[] numbers = new short[count];
            ((ShortBuffer) pixels.createBuffer()).get(numbers);
            return new Sixteen(numbers);
        }
        byte[] numbers = new byte[count];
        ((ByteBuffer) pixels.createBuffer()).get(numbers);
        return new Eight(numbers);
    }

    float get(int at);

    /** Puts the nearest number there is. */
    void put(int at, float value);

    /** A value of 8 bits in these numbers. */
    float ofEight(float value);

    void writeTo(Mat pixels);

    /** Of 8 bits. */
    record Eight(byte[] numbers) implements Samples {
        @Override
        public float get(int at) {
            return numbers[at] & 0xFF;
        }

        @Override
        public void put(int at, float value) {
            numbers[at] = (byte) (int) (Math.max(0, Math.min(255, value)) + 0.5f);
        }

        @Override
        public float ofEight(float value) {
            return value;
        }

        @Override
        public void writeTo(Mat pixels) {
            ((ByteBuffer) pixels.createBuffer()).put(numbers);
        }
    }

    /** Of 16 bits. */
    record Sixteen(short[] numbers) implements Samples {
        @Override
        public float get(int at) {
            return numbers[at] & 0xFFFF;
        }

        @Override
        public void put(int at, float value) {
            numbers[at] = (short) (int) (Math.max(0, Math.min(65_535, value)) + 0.5f);
        }

        @Override
        public float ofEight(float value) {
            return SIXTEEN_OVER_EIGHT * value;
        }

        @Override
        public void writeTo(Mat pixels) {
            ((ShortBuffer) pixels.createBuffer()).put(numbers);
        }
    }

    /** Between those of 16 bits. */
    record Floats(float[] numbers) implements Samples {
        @Override
        public float get(int at) {
            return numbers[at];
        }

        @Override
        public void put(int at, float value) {
            numbers[at] = value;
        }

        @Override
        public float ofEight(float value) {
            return SIXTEEN_OVER_EIGHT * value;
        }

        @Override
        public void writeTo(Mat pixels) {
            ((FloatBuffer) pixels.createBuffer()).put(numbers);
        }
    }
}
