package nexa.store.json;

import com.fasterxml.jackson.databind.node.BooleanNode;
import com.fasterxml.jackson.databind.node.DoubleNode;
import com.fasterxml.jackson.databind.node.IntNode;
import com.fasterxml.jackson.databind.node.LongNode;
import com.fasterxml.jackson.databind.node.TextNode;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.Function;
import nexa.core.geometry.Point;
import nexa.core.message.EnumName;

/** How plain values are written. */
public final class Json {
    public static final Codec<String> TEXT = Codec.of(JsonPlace::text, TextNode::valueOf);
    public static final Codec<Double> NUMBER = Codec.of(JsonPlace::number, DoubleNode::valueOf);
    public static final Codec<OptionalDouble> SOME_NUMBER = NUMBER.as(OptionalDouble::of, OptionalDouble::getAsDouble);
    public static final Codec<Integer> WHOLE = Codec.of(JsonPlace::whole, IntNode::valueOf);
    /** At least 0, and no more than a double tells exactly. */
    public static final Codec<Long> COUNT = Codec.of(JsonPlace::count, LongNode::valueOf);

    public static final Codec<Boolean> FLAG = Codec.of(JsonPlace::flag, BooleanNode::valueOf);

    /** Two numbers. */
    public static final Codec<Point> POINT =
            NUMBER.list(2).as(pair -> new Point(pair.get(0), pair.get(1)), point -> List.of(point.x(), point.y()));

    private Json() {}

    /** An enum's value, in small letters. */
    public static <E extends Enum<E>> Codec<E> oneOf(Class<E> type) {
        return Codec.of(place -> place.oneOf(type), value -> TextNode.valueOf(EnumName.of(value)));
    }

    /** What is written as it says itself. */
    public static <T> Codec<T> said(Function<String, T> parse) {
        return TEXT.as(parse, Object::toString);
    }
}
