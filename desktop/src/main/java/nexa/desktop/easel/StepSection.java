package nexa.desktop.easel;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import nexa.core.format.Format;
import nexa.core.message.EnumName;
import nexa.core.series.PhotoCrop;
import nexa.core.series.StepFromLead;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.desktop.desk.DeskPart;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.PhotoNames;
import nexa.desktop.parts.TextSize;
import nexa.desktop.parts.Words;
import nexa.desktop.series.CarryPanel;
import nexa.desktop.series.StepWords;
import nexa.desktop.session.ShootSession;
import nexa.desktop.session.WorkedOut;
import nexa.desktop.tool.PhotoActions;

/** The desk's part for the crop's place in the set: whom it leads or follows, and carrying it across. */
final class StepSection {
    private static final double WIDTH = 190;

    private final PhotoActions actions;
    private final Label what = Parts.label("", "step-what");
    private final Label more = Parts.label("", "small", "quiet");
    private final Button carry;
    private final MenuButton menu = new MenuButton(Words.get("level.more"));
    private final DeskPart part = new DeskPart("desk.step");
    private final HBox row;

    StepSection(PhotoActions actions) {
        this.actions = actions;
        carry = Parts.button("step.carry", actions::carry, "main-action", "carry");
        carry.setId("carry");
        menu.setId("step-more");
        menu.getStyleClass().addAll("flat", "small-button");
        menu.setMinWidth(Region.USE_PREF_SIZE);
        menu.setAccessibleText(Words.get("step.more.tip"));
        menu.setTooltip(Parts.tooltip(Words.get("step.more.tip")));
        what.setMaxWidth(Double.MAX_VALUE);
        more.setWrapText(true);
        more.setMinHeight(32);
        more.setAlignment(Pos.TOP_LEFT);
        row = Parts.row(4, carry, menu);
        VBox node = new VBox(3, part.head(), what, more, row);
        node.getStyleClass().add("desk-section");
        node.setPrefWidth(0);
        part.with(node, TextSize.scaled(WIDTH));
    }

    DeskPart part() {
        return part;
    }

    void show(ShootSession session, PhotoCrop crop) {
        Shoot shoot = session.shoot();
        WorkedOut known = session.workedOutProperty().get();
        Optional<StepFromLead> step = session.step(crop.photo(), crop.format());
        Format format = shoot.format(crop.format().id());
        Optional<Photo> lead = shoot.leadFor(format, crop.photo().orientation());
        String leadName = lead.map(photo -> PhotoNames.base(photo.file())).orElse("");
        Parts.style(what, "step-what");
        more.setText("");
        List<MenuItem> items = new ArrayList<>();
        switch (crop.state()) {
            case LEAD -> {
                what.setText(Words.get(
                        "step.leads", known.crops().followers(crop.photo().file())));
                what.getStyleClass().add("fine");
                items.add(Parts.item(Words.get("step.noLead"), actions::noLead));
            }
            case FOLLOW, TUNED -> {
                what.setText(Words.get("step." + EnumName.of(crop.state()), leadName));
                String words = step.map(StepWords::of).orElse("");
                more.setText(crop.isLimited() ? Words.get("step.limited") + " " + words : words);
                items.add(Parts.item(Words.get("step.letGo"), actions::letGo));
                if (crop.state() == PhotoCrop.State.TUNED) {
                    items.add(Parts.item(Words.get("step.again"), () -> actions.followAgain(false)));
                }
                items.add(Parts.item(Words.get("step.lead"), actions::lead));
            }
            default -> {
                what.setText(Words.of("step.is", crop.state()));
                if (lead.isPresent()) {
                    items.add(Parts.item(Words.get("step.again"), () -> actions.followAgain(false)));
                    items.add(Parts.item(Words.get("step.againTuned"), () -> actions.followAgain(true)));
                }
                items.add(Parts.item(Words.get("step.lead"), actions::lead));
            }
        }
        menu.getItems().setAll(items);
        Parts.setLoud(carry, CarryPanel.isOfUse(session));
        row.setDisable(false);
    }

    void clear() {
        what.setText("");
        more.setText("");
        row.setDisable(true);
    }
}
