package nexa.store.document;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.MissingNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.lang.reflect.RecordComponent;
import java.util.Set;
import nexa.core.shoot.Preparation;
import nexa.store.json.JsonPlace;
import org.junit.jupiter.api.Test;

/** What is done to a photo is in the document, all of it. */
class PreparationCodecTest {
    /** Everything is done: another correction is added here. */
    private static final String ALL = "{\"turn\":90,\"mirror\":true,\"trim\":[0.1,0.2,0.3,0.05],"
            + "\"perspective\":{\"tilt\":-4.5,\"swing\":1.25,\"strength\":80.0,\"stretch\":1.1,\"focal35\":28.0,"
            + "\"uprights\":[[[0.1,0.2],[0.15,0.9]],[[0.8,0.2],[0.75,0.9]]],\"levels\":[[[0.1,0.3],[0.9,0.35]]]},"
            + "\"lens\":{\"profile\":{\"name\":\"Birch 24mm\",\"cropFactor\":1.5,\"aspect\":1.25,"
            + "\"distortion\":{\"model\":\"ptlens\",\"terms\":[0.01,-0.03,0.0]},"
            + "\"colour\":{\"model\":\"poly3\",\"terms\":[1.001,0.999,0.0,0.0,0.0002,-0.0001]},"
            + "\"vignetting\":{\"terms\":[-0.5,0.2,-0.1]}},"
            + "\"cameraCrop\":1.6,\"distortion\":0.9,\"colour\":1.1,\"vignetting\":0.5,\"bulge\":-4.0},"
            + "\"angle\":-3.25,\"edge\":{\"stops\":-0.5,\"middle\":0.8}}";

    @Test
    void allOfItIsReadAndWrittenAgain() throws Exception {
        ObjectNode json = (ObjectNode) new ObjectMapper().readTree(ALL);
        Preparation read = PreparationCodec.PREPARATION.read(JsonPlace.root(json));
        for (RecordComponent part : Preparation.class.getRecordComponents()) {
            Object said = part.getAccessor().invoke(read);
            Object nothing = part.getAccessor().invoke(Preparation.NONE);
            for (RecordComponent correction : part.getType().getRecordComponents()) {
                assertThat(correction.getAccessor().invoke(said))
                        .as(correction.getName())
                        .isNotEqualTo(correction.getAccessor().invoke(nothing));
            }
        }
        assertThat(PreparationCodec.PREPARATION.write(read, MissingNode.getInstance()))
                .isEqualTo(json);
        assertThat(PhotoCodec.of(Set.of()).unknown(json)).isEmpty();
    }

    @Test
    void nothingDoneIsNothingWritten() throws Exception {
        ObjectNode written = PreparationCodec.PREPARATION.write(Preparation.NONE, MissingNode.getInstance());
        assertThat(written).isEmpty();
        assertThat(PreparationCodec.PREPARATION.read(JsonPlace.root(written))).isEqualTo(Preparation.NONE);
    }
}
