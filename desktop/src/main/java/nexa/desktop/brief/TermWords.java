package nexa.desktop.brief;

import java.util.ArrayList;
import java.util.List;
import nexa.core.format.DeliveryTerms;
import nexa.desktop.parts.Words;

/** What terms of delivery say, in a line. */
final class TermWords {
    private TermWords() {}

    static String of(DeliveryTerms terms) {
        List<String> said = new ArrayList<>();
        if (terms.cameraData()) {
            said.add(Words.get(terms.makerNotes() ? "brief.with.allCamera" : "brief.with.camera"));
        } else {
            said.add(Words.get("brief.with.noCamera"));
        }
        if (terms.cameraData() && terms.place()) {
            said.add(Words.get("brief.with.place"));
        }
        if (!terms.copyright().isEmpty()) {
            said.add(Words.get("brief.with.copyright", terms.copyright()));
        }
        if (!terms.creator().isEmpty()) {
            said.add(Words.get("brief.with.creator", terms.creator()));
        }
        if (terms.list()) {
            said.add(Words.get("brief.with.list"));
        }
        said.add(Words.get(terms.replacesOwn() ? "brief.with.replaces" : "brief.with.numbers"));
        return String.join(", ", said);
    }
}
