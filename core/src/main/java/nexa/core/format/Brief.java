package nexa.core.format;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import nexa.core.message.Rejected;

/**
 * What was asked for, kept by name for other shoots.
 *
 * @param name what it is known by
 * @param formats at least one, each with what is asked of its crops; without leads
 * @param terms of its deliveries, if it says any
 */
public record Brief(String name, List<Format> formats, Optional<DeliveryTerms> terms) {

    /** @throws Rejected for one without a name or without formats */
    public Brief {
        if (name.isBlank()) {
            throw new Rejected("reject.emptyBriefName");
        }
        if (formats.isEmpty()) {
            throw new Rejected("reject.briefWithoutFormats");
        }
        formats = formats.stream()
                .map(format -> format.withLeads(Map.of()).withGoing(Going.GOES))
                .toList();
    }

    /** The same under another name. */
    public Brief withName(String newName) {
        return new Brief(newName, formats, terms);
    }
}
