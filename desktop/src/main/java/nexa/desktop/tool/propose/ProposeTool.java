package nexa.desktop.tool.propose;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import nexa.core.propose.Proposal;
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.Edit;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;
import nexa.desktop.session.Finding;
import nexa.desktop.session.ShootSession;
import nexa.desktop.stage.PhotoStage;
import nexa.desktop.tool.Easel;
import nexa.desktop.tool.EaselTool;
import nexa.desktop.tool.guide.EaselSettings;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.work.Ticket;
import nexa.imaging.work.Urgency;

/**
 * Crops proposed for the photo and format worked in, four at a time along the lower edge of the stage. The one under the pointer
 * or chosen by an arrow is shown on the stage; nothing changes before it is taken.
 */
public final class ProposeTool implements EaselTool {
    private static final int AT_ONCE = 4;
    private static final int MOST = 3 * AT_ONCE;

    private final Easel easel;
    private final ShootSession session;
    private final PhotoStage stage;
    private final EaselSettings settings;
    private final List<ProposalPrint> prints = new ArrayList<>();
    private final Label heading = Parts.label("", "small", "proposal-words");
    private final VBox node;
    private List<Proposal> proposals = List.of();
    private Optional<PhotoCrop> from = Optional.empty();
    private Ticket ticket = Ticket.NONE;
    private int first;
    /** The one shown on the stage, of those in sight; −1 while none is. */
    private int current = -1;

    public ProposeTool(Easel easel, EaselSettings settings) {
        this.easel = easel;
        this.session = easel.session();
        this.stage = easel.stage();
        this.settings = settings;
        HBox row = new HBox(4);
        row.setAlignment(Pos.CENTER);
        for (int i = 0; i < AT_ONCE; i++) {
            ProposalPrint print = new ProposalPrint(session.pictures(), i + 1);
            int place = i;
            print.setOnMouseEntered(event -> preview(place));
            print.setOnMouseExited(event -> preview(-1));
            print.setOnAction(event -> take(place));
            prints.add(print);
            row.getChildren().add(print);
        }
        node = new VBox(2, heading, row);
        node.setId("proposals");
        node.getStyleClass().add("proposals");
        node.setAlignment(Pos.CENTER);
        node.managedProperty().bind(node.visibleProperty());
        node.setVisible(false);
        easel.mouse().onBegin(this::close);
    }

    public Node node() {
        return node;
    }

    private boolean isOpen() {
        return node.isVisible();
    }

    /** Proposes crops, or shows the next ones. */
    public void propose() {
        if (isOpen()) {
            first = first + AT_ONCE < proposals.size() ? first + AT_ONCE : 0;
            preview(-1);
            show();
            return;
        }
        easel.letGo();
        easel.putDown();
        easel.withdraw();
        stage.requestFocus();
        session.crop().ifPresent(crop -> {
            from = Optional.of(crop);
            easel.say(Words.get("propose.looking"));
            double ratio = crop.crop().size().ratio();
            ticket = session.finding().propose(crop.photo(), ratio, MOST, Urgency.NOW, new Listening());
        });
    }

    private final class Listening implements Finding.Listener<List<Proposal>> {
        @Override
        public void found(List<Proposal> found) {
            easel.say(found.isEmpty() ? Words.get("propose.none") : "");
            if (isAsItWas() && !found.isEmpty() && !easel.gestures().isBusy()) {
                proposals = found;
                first = 0;
                show();
            }
        }

        @Override
        public void failed(PhotoProblem problem) {
            easel.say(Words.say(problem));
        }
    }

    /** Whether the same crop is worked on as when it was asked. */
    private boolean isAsItWas() {
        return from.equals(session.crop());
    }

    private void show() {
        int last = Math.min(first + AT_ONCE, proposals.size());
        heading.setText(Words.get("propose.heading", first + 1, last, proposals.size()));
        for (int i = 0; i < AT_ONCE; i++) {
            ProposalPrint print = prints.get(i);
            boolean isThere = first + i < last;
            print.setManaged(isThere);
            if (isThere) {
                print.show(crop(i), proposals.get(first + i), first + i + 1, proposals.size());
            } else {
                print.clear();
            }
        }
        node.setVisible(true);
    }

    private PhotoCrop crop(int place) {
        PhotoCrop now = from.orElseThrow();
        return new PhotoCrop(
                now.photo(),
                now.format(),
                PhotoCrop.State.OWN,
                proposals.get(first + place).crop(),
                false,
                List.of());
    }

    /** Shows one on the stage, or the crop as it is. */
    private void preview(int place) {
        if (isOpen() && place != current) {
            current = place;
            for (int i = 0; i < AT_ONCE; i++) {
                prints.get(i).setCurrent(i == current);
            }
            stage.fit(current < 0 ? from.orElseThrow().crop() : crop(current).crop());
        }
    }

    private void take(int place) {
        Proposal taken = proposals.get(first + place);
        close();
        easel.gestures().commit(Edit.Kind.PROPOSAL, taken.crop());
        taken.guide().ifPresent(guide -> settings.guide().set(Optional.of(guide)));
        stage.requestFocus();
    }

    @Override
    public boolean pressed(KeyEvent key) {
        boolean isMeant = key.getCode() == KeyCode.K;
        if (isMeant) {
            propose();
        }
        return isMeant;
    }

    /**
     * A key before anything else on the easel has it. While proposals are shown the arrows, Enter, Esc and the key that opened
     * them are their own; any other closes them.
     *
     * @return whether it has been dealt with
     */
    public boolean pressedFirst(KeyEvent key) {
        if (!isOpen()) {
            return false;
        }
        if (key.isShortcutDown() || key.isAltDown()) {
            close();
            return false;
        }
        int count = Math.min(AT_ONCE, proposals.size() - first);
        switch (key.getCode()) {
            case LEFT, UP -> preview(current < 0 ? count - 1 : (current + count - 1) % count);
            case RIGHT, DOWN -> preview((current + 1) % count);
            case K -> propose();
            case ENTER -> {
                if (current >= 0) {
                    take(current);
                }
            }
            case ESCAPE -> close();
            default -> {
                if (!key.getCode().isModifierKey()) {
                    close();
                }
                return key.getCode().isModifierKey();
            }
        }
        return true;
    }

    /** What was proposed does not count any more once the crop is another one. */
    public void refresh() {
        if (isOpen() && !isAsItWas()) {
            close();
        }
    }

    @Override
    public void withdraw() {
        close();
    }

    /** Nothing is proposed any more. */
    private void close() {
        ticket.cancel();
        if (isOpen()) {
            preview(-1);
            node.setVisible(false);
            prints.forEach(ProposalPrint::clear);
        }
    }
}
