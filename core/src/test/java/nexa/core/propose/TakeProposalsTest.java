package nexa.core.propose;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import nexa.core.find.Certainty;
import nexa.core.format.Format;
import nexa.core.format.PixelSize;
import nexa.core.format.Ratio;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.guide.GuideKind;
import nexa.core.series.CarryAcross;
import nexa.core.series.Crops;
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.Carry;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import org.junit.jupiter.api.Test;

class TakeProposalsTest {
    private static final Format SQUARE = Format.of("square", "Square", Ratio.parse("1:1"));
    private static final Proposal PROPOSAL = new Proposal(
            new Crop(new Point(350, 180), new Size(260, 260)),
            List.of(Reason.ROOM_AROUND, Reason.EDGE_LOWER_SECTION, Reason.SUBJECT_LEFT_THIRD));

    private static Photo photo(String file) {
        return Photo.untouched(file).withPixels(new PixelSize(600, 400));
    }

    @Test
    void aProposalIsOnlyEverOfferedAndShowsTheFirstGuideItNames() {
        assertThat(PROPOSAL.certainty()).isEqualTo(Certainty.LIKELY);
        assertThat(PROPOSAL.guide()).hasValue(GuideKind.GOLDEN);
        assertThat(new Proposal(PROPOSAL.crop(), List.of(Reason.CLOSE)).guide()).isEqualTo(Optional.empty());
    }

    @Test
    void takenItIsACropAsMadeByHandAndAFollowerIsTuned() {
        Shoot shoot = Shoot.of(
                "", Shoot.Order.NAME, List.of(SQUARE), List.of(photo("lead.jpg"), photo("a.jpg"), photo("b.jpg")));
        Shoot carried = new CarryAcross("lead.jpg", "square", Set.of(Carry.values()), false, false)
                .to(shoot, List.of("b.jpg"))
                .shoot();
        assertThat(TakeProposals.isDone(carried.photo("a.jpg"), "square")).isFalse();
        assertThat(TakeProposals.isDone(carried.photo("b.jpg"), "square")).isTrue();
        Shoot taken =
                TakeProposals.of(carried, "square", Map.of("a.jpg", PROPOSAL, "b.jpg", PROPOSAL, "gone.jpg", PROPOSAL));
        for (String file : List.of("a.jpg", "b.jpg")) {
            PhotoCrop crop = new Crops(taken).of(taken.photo(file), taken.format("square"));
            assertThat(crop.crop().centre().distance(PROPOSAL.crop().centre())).isLessThan(1e-9);
            assertThat(crop.state()).isEqualTo(file.equals("a.jpg") ? PhotoCrop.State.OWN : PhotoCrop.State.TUNED);
        }
    }

    @Test
    void aPhotoThatWasNotReadIsPassedOver() {
        Shoot shoot = Shoot.of("", Shoot.Order.NAME, List.of(SQUARE), List.of(Photo.untouched("a.jpg")));
        assertThat(TakeProposals.of(shoot, "square", Map.of("a.jpg", PROPOSAL))).isSameAs(shoot);
    }
}
