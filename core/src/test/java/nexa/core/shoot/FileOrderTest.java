package nexa.core.shoot;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import org.junit.jupiter.api.Test;

class FileOrderTest {
    private static void assertOrdered(String... names) {
        List<String> wanted = List.of(names);
        Random random = new Random(4);
        for (int i = 0; i < 20; i++) {
            List<String> mixed = new ArrayList<>(wanted);
            Collections.shuffle(mixed, random);
            mixed.sort(FileOrder.BY_NAME);
            assertThat(mixed).isEqualTo(wanted);
        }
    }

    @Test
    void numbersAreOrderedByWhatTheyCount() {
        assertOrdered("IMG_1.jpg", "IMG_2.jpg", "IMG_10.jpg", "IMG_0011.jpg", "IMG_100.jpg");
        assertOrdered("2 a 9.jpg", "2 a 10.jpg", "2 b 1.jpg", "10 a 1.jpg");
        assertOrdered("99999999999999999999998.jpg", "99999999999999999999999.jpg", "100000000000000000000000.jpg");
    }

    @Test
    void caseDoesNotMatterUntilNothingElseDoes() {
        assertOrdered("a.jpg", "B.jpg", "b.jpg", "c.jpg");
        assertOrdered("IMG_1.jpg", "img_1.JPG", "img_1.jpg", "IMG_2.jpg");
        assertOrdered("img_01.jpg", "img_1.jpg", "img_2.jpg");
        assertOrdered("x", "x1", "x1y");
    }

    @Test
    void itIsTheSameInEveryLocale() {
        Locale before = Locale.getDefault();
        try {
            for (String locale : List.of("tr", "sv", "en", "lt")) {
                Locale.setDefault(Locale.forLanguageTag(locale));
                assertOrdered("FILE-i.jpg", "file-I.jpg", "file-i.jpg", "file-z.jpg", "file-å.jpg", "file-ö.jpg");
            }
        } finally {
            Locale.setDefault(before);
        }
    }

    @Test
    void itIsAnOrder() {
        Random random = new Random(8);
        List<String> names = new ArrayList<>();
        for (int i = 0; i < 300; i++) {
            StringBuilder name = new StringBuilder();
            for (int letters = random.nextInt(6); letters >= 0; letters--) {
                name.append("019aAbB. _İ\uD83D\uDE00".charAt(random.nextInt(13)));
            }
            names.add(name.toString());
        }
        for (int i = 0; i < 20_000; i++) {
            String a = names.get(random.nextInt(names.size()));
            String b = names.get(random.nextInt(names.size()));
            String c = names.get(random.nextInt(names.size()));
            int ab = FileOrder.BY_NAME.compare(a, b);
            assertThat(Integer.signum(FileOrder.BY_NAME.compare(b, a))).isEqualTo(-Integer.signum(ab));
            assertThat(ab == 0).isEqualTo(a.equals(b));
            if (ab <= 0 && FileOrder.BY_NAME.compare(b, c) <= 0) {
                assertThat(FileOrder.BY_NAME.compare(a, c)).isLessThanOrEqualTo(0);
            }
        }
    }
}
