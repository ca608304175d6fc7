package nexa.imaging.deliver;

import java.nio.file.Path;
import nexa.core.format.DeliveryTerms;
import nexa.imaging.TestPhotos;
import nexa.imaging.facts.PhotoFolder;

/** Deliveries of a folder of which nothing has been read. */
final class TestDeliveries {
    private TestDeliveries() {}

    /** Nobody hears how far it is. */
    static Delivery of(DeliveryPlan plan, Path source, Path destination, DeliveryTerms terms) {
        return of(plan, source, destination, terms, (done, total, name) -> {});
    }

    static Delivery of(
            DeliveryPlan plan, Path source, Path destination, DeliveryTerms terms, Delivery.Progress progress) {
        return new Delivery(plan, new PhotoFolder(source), destination, terms, TestPhotos.WORDS::say, progress);
    }
}
