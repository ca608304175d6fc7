package nexa.store;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.lang.reflect.RecordComponent;
import java.util.HashSet;
import java.util.Set;
import nexa.core.shoot.Preparation;
import org.junit.jupiter.api.Test;

/** What is done to a photo is in the document, all of it. */
class PreparationJsonTest {
    /** Everything is done: a new part is added here. */
    private static final String ALL = "{\"turn\":90,\"mirror\":true,\"trim\":[0.1,0.2,0.3,0.05],"
            + "\"perspective\":{\"tilt\":-4.5,\"swing\":1.25,\"strength\":80.0,\"stretch\":1.1,\"focal35\":28.0,"
            + "\"uprights\":[[[0.1,0.2],[0.15,0.9]],[[0.8,0.2],[0.75,0.9]]],\"levels\":[[[0.1,0.3],[0.9,0.35]]]},"
            + "\"angle\":-3.25}";

    @Test
    void allOfItIsReadAndWrittenAgain() throws Exception {
        ObjectNode json = (ObjectNode) new ObjectMapper().readTree(ALL);
        Preparation read = PreparationJson.read(JsonPlace.root(json));
        for (RecordComponent part : Preparation.class.getRecordComponents()) {
            assertThat(part.getAccessor().invoke(read))
                    .as(part.getName())
                    .isNotEqualTo(part.getAccessor().invoke(Preparation.NONE));
        }
        ObjectNode written = JsonNodeFactory.instance.objectNode();
        PreparationJson.write(read, written);
        assertThat(written).isEqualTo(json);
        Set<String> names = new HashSet<>();
        json.fieldNames().forEachRemaining(names::add);
        assertThat(names).isEqualTo(PreparationJson.FIELDS);
        assertThat(DocumentFields.PHOTO).containsAll(names);
    }

    @Test
    void nothingDoneIsNothingWritten() throws Exception {
        ObjectNode written = JsonNodeFactory.instance.objectNode();
        PreparationJson.write(Preparation.NONE, written);
        assertThat(written).isEmpty();
        assertThat(PreparationJson.read(JsonPlace.root(written))).isEqualTo(Preparation.NONE);
    }
}
