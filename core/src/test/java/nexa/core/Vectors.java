package nexa.core;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Outline;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import nexa.core.geometry.Size;
import nexa.core.shoot.Tune;

/** Worked cases that a separate program made, and how to read them. */
public final class Vectors {
    private Vectors() {}

    public static Stream<JsonNode> cases(String name) {
        try (InputStream in = Vectors.class.getResourceAsStream("/vectors/" + name + ".json")) {
            JsonNode cases = new ObjectMapper().readTree(in).get("cases");
            return StreamSupport.stream(cases.spliterator(), false);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    public static List<Double> numbers(JsonNode list) {
        List<Double> numbers = new ArrayList<>();
        list.forEach(number -> numbers.add(number.asDouble()));
        return numbers;
    }

    public static Point point(JsonNode pair) {
        return new Point(pair.get(0).asDouble(), pair.get(1).asDouble());
    }

    public static Size size(JsonNode pair) {
        return new Size(pair.get(0).asDouble(), pair.get(1).asDouble());
    }

    public static Segment segment(JsonNode from, JsonNode to) {
        return new Segment(point(from), point(to));
    }

    public static Crop crop(JsonNode crop) {
        return new Crop(point(crop.get("centre")), size(crop.get("size")));
    }

    /** A follower's tune, if it has one. */
    public static Tune tune(JsonNode follower) {
        JsonNode tune = follower.get("tune");
        return tune.isNull()
                ? Tune.NONE
                : new Tune(
                        tune.get("dx").asDouble(),
                        tune.get("dy").asDouble(),
                        tune.get("zoom").asDouble());
    }

    public static Outline outline(JsonNode photo) {
        return new Outline(
                size(photo.get("photo")), new Angle(photo.get("angle").asDouble()));
    }
}
