package nexa.store.document;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Random;
import nexa.store.Said;
import nexa.store.shoot.ShootFolder;
import nexa.store.user.UserData;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Damages the document in many ways: it is read or refused, and never changed on disk. */
class MutationTest {
    private static final int MUTATIONS = Boolean.getBoolean("nexa.thorough") ? 1000 : 150;

    @TempDir
    Path folder;

    @Test
    void aDamagedDocumentIsReadOrRefusedAndLeftAsItIs() throws Exception {
        byte[] whole = Files.readAllBytes(Path.of("..", "sample", "photos", ShootDocument.NAME));
        Path file = folder.resolve(ShootDocument.NAME);
        int refused = 0;
        for (int seed = 0; seed < MUTATIONS; seed++) {
            byte[] damaged = damaged(whole, new Random(seed));
            Files.write(file, damaged);
            try {
                assertThat(ShootFolder.look(folder, new UserData(folder)).shoot())
                        .isNotNull();
            } catch (ShootProblem e) {
                assertThat(Said.WORDS.say(e)).contains(ShootDocument.NAME);
                refused++;
            }
            assertThat(file).hasBinaryContent(damaged);
        }
        assertThat(refused).as("refused").isBetween(MUTATIONS / 4, MUTATIONS - 1);
    }

    private static byte[] damaged(byte[] whole, Random random) {
        byte[] bytes = whole.clone();
        switch (random.nextInt(3)) {
            case 0 -> bytes = Arrays.copyOf(bytes, random.nextInt(bytes.length));
            case 1 -> bytes[random.nextInt(bytes.length)] = (byte) random.nextInt(256);
            default -> {
                int from = random.nextInt(bytes.length - 40);
                System.arraycopy(whole, random.nextInt(bytes.length - 40), bytes, from, 1 + random.nextInt(39));
            }
        }
        return bytes;
    }
}
