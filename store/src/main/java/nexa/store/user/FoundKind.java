package nexa.store.user;

import com.fasterxml.jackson.databind.node.MissingNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.stream.Stream;
import nexa.core.find.Found;
import nexa.core.find.FoundLevel;
import nexa.core.find.FoundSubject;
import nexa.core.find.FoundTrim;
import nexa.store.json.Codec;
import nexa.store.json.JsonPlace;
import nexa.store.json.ValidationError;

/** The kinds of what is found in photos and kept, and how each is written. */
enum FoundKind {
    LEVEL(FoundLevel.class, FoundCodec.LEVEL),
    TRIM(FoundTrim.class, FoundCodec.TRIM),
    SUBJECT(FoundSubject.class, FoundCodec.SUBJECT);

    private final Class<? extends Found> type;
    private final Codec<? extends Found> codec;

    <T extends Found> FoundKind(Class<T> type, Codec<T> codec) {
        this.type = type;
        this.codec = codec;
    }

    /** @throws IllegalArgumentException for what follows from other things found, and is not kept */
    static FoundKind of(Class<? extends Found> type) {
        return Stream.of(values())
                .filter(kind -> kind.type == type)
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(type + " is not kept"));
    }

    Found read(JsonPlace place) throws ValidationError {
        return codec.read(place);
    }

    ObjectNode write(Found found) {
        return write(codec, found);
    }

    private <T extends Found> ObjectNode write(Codec<T> own, Found found) {
        @SuppressWarnings("unchecked")
        T value = (T) type.cast(found);
        return (ObjectNode) own.write(value, MissingNode.getInstance());
    }
}
