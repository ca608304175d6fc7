package nexa.desktop.find;

import nexa.core.find.Found;
import nexa.core.find.FoundLevel;
import nexa.core.find.FoundPerspective;
import nexa.core.find.FoundSubject;
import nexa.core.find.FoundTrim;
import nexa.core.propose.Proposal;

/** What can be found in many photos. */
public enum FindWhat {
    LEVELS(FoundLevel.class),
    BORDERS(FoundTrim.class),
    UPRIGHTS(FoundPerspective.class),
    SUBJECTS(FoundSubject.class),
    CROPS(Proposal.class);

    private final Class<? extends Found> type;

    FindWhat(Class<? extends Found> type) {
        this.type = type;
    }

    Class<? extends Found> type() {
        return type;
    }
}
