package nexa.imaging.find;

import java.nio.FloatBuffer;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.Loader;
import org.bytedeco.opencv.global.opencv_dnn;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.MatVector;
import org.bytedeco.opencv.opencv_core.StringVector;
import org.bytedeco.opencv.opencv_dnn.Net;

/** A network in memory. Not for use by several threads at once. */
final class TrainedNet implements AutoCloseable {

    /**
     * What a network answers, in one of its layers.
     *
     * @param rows how many rows the layer's map has, 0 if it is none
     * @param columns how many columns
     */
    record Answer(float[] values, int rows, int columns) {}

    private final Net net;
    private final StringVector layers;

    private TrainedNet(Net net, StringVector layers) {
        this.net = net;
        this.layers = layers;
    }

    /**
     * Reads a network.
     *
     * @return empty where networks cannot be run on this system, and for what is none
     */
    static Optional<TrainedNet> read(ModelFile model, byte[] contents) {
        try (BytePointer bytes = new BytePointer(contents)) {
            Loader.load(opencv_dnn.class);
            Net net = model == ModelFile.THINGS
                    ? opencv_dnn.readNetFromONNX(bytes, contents.length)
                    : opencv_dnn.readNetFromTFLite(bytes, contents.length);
            StringVector answering = model.layers().isEmpty()
                    ? net.getUnconnectedOutLayersNames()
                    : new StringVector(model.layers().toArray(new String[0]));
            return Optional.of(new TrainedNet(net, answering));
        } catch (RuntimeException | LinkageError e) {
            return Optional.empty();
        }
    }

    /** What it answers to an input, layer by layer. */
    List<Answer> answers(Mat input) {
        try (MatVector outputs = new MatVector()) {
            net.setInput(input);
            net.forward(outputs, layers);
            List<Answer> answers = new ArrayList<>();
            for (long i = 0; i < outputs.size(); i++) {
                try (Mat output = outputs.get(i)) {
                    FloatBuffer buffer = output.createBuffer();
                    float[] values = new float[buffer.remaining()];
                    buffer.get(values);
                    boolean isMap = output.dims() == 4;
                    answers.add(new Answer(values, isMap ? output.size(2) : 0, isMap ? output.size(3) : 0));
                }
            }
            return answers;
        }
    }

    @Override
    public void close() {
        layers.close();
        net.close();
    }
}
