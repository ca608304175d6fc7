package nexa.desktop.tool.lens;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.Button;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import nexa.core.lens.LensFit;
import nexa.core.shape.Plane;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;
import nexa.desktop.session.Finding;
import nexa.desktop.stage.PhotoStage;
import nexa.desktop.tool.Drawing;
import nexa.desktop.tool.Easel;
import nexa.desktop.tool.StageBar;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.work.Ticket;

/** Lines that should be straight, drawn point by point; the lens is put right by them. */
final class BentLines implements Drawing {
    /** A click so near the last point, in screen pixels, ends its line. */
    private static final double SAME = 8;
    /** A point is shown as a cross of arms so long, in screen pixels. */
    private static final double ARM = 5;

    private final Easel easel;
    private final PhotoStage stage;
    private final LensHand lens;
    private final StageBar bar = new StageBar();
    /** In the photo's pixels; the last one is still drawn, and may be empty. */
    private List<List<Point>> lines = List.of(List.of());

    private Optional<LensFit> fit = Optional.empty();
    private Optional<Ticket> looking = Optional.empty();

    BentLines(Easel easel, LensHand lens) {
        this.easel = easel;
        this.stage = easel.stage();
        this.lens = lens;
        bar.setId("bent-bar");
    }

    StageBar bar() {
        return bar;
    }

    /** Takes them to be drawn, or puts them away. */
    void toggle() {
        easel.letGo();
        easel.take(this, Words.get("bent.start"));
        if (easel.inHand().holds(this)) {
            lines = List.of(List.of());
            fit = Optional.empty();
            show();
            stage.requestFocus();
        }
    }

    @Override
    public boolean staysInHand() {
        return true;
    }

    @Override
    public void putDown() {
        looking.ifPresent(Ticket::cancel);
        looking = Optional.empty();
        bar.setVisible(false);
        stage.overlay().onPhoto().show(List.of());
    }

    @Override
    public void during(Point from, Point to, Held held) {
        // A point lies where the pointer is let go.
    }

    @Override
    public void done(Point from, Point to, Held held) {
        stage.projection()
                .ifPresent(projection -> easel.session().crop().ifPresent(crop -> {
                    Plane plane = crop.photo().plane();
                    List<Point> line = last();
                    boolean ends = !line.isEmpty()
                            && projection
                                            .toScreen(plane.toPlane(line.get(line.size() - 1)))
                                            .distance(to)
                                    < SAME;
                    if (ends) {
                        nextLine();
                    } else {
                        add(plane.toPhoto(projection.toPlane(to)));
                    }
                }));
    }

    private List<Point> last() {
        return lines.get(lines.size() - 1);
    }

    private void add(Point inPhoto) {
        List<Point> longer = new ArrayList<>(last());
        longer.add(inPhoto);
        replaceLast(longer);
    }

    private void replaceLast(List<Point> line) {
        List<List<Point>> all = new ArrayList<>(lines.subList(0, lines.size() - 1));
        all.add(List.copyOf(line));
        lines = List.copyOf(all);
        fit = Optional.empty();
        show();
    }

    private void nextLine() {
        if (last().size() >= LensFit.FEWEST) {
            beginLineAfter(lines);
        }
        show();
    }

    private void beginLineAfter(List<List<Point>> others) {
        List<List<Point>> all = new ArrayList<>(others);
        all.add(List.of());
        lines = List.copyOf(all);
    }

    /** Takes the last point back, and a line of which nothing is left. */
    private void back() {
        if (last().isEmpty() && lines.size() > 1) {
            lines = lines.subList(0, lines.size() - 1);
        }
        replaceLast(last().subList(0, Math.max(0, last().size() - 1)));
        stage.requestFocus();
    }

    private void straighten() {
        fit = lens.straighten(lines);
        show();
        stage.requestFocus();
    }

    /** Looks for lines; those that may be straight in the scene are taken as if they were drawn. */
    private void find() {
        easel.photo().ifPresent(photo -> {
            easel.say(Words.get("bent.looking"));
            looking.ifPresent(Ticket::cancel);
            looking = Optional.of(lens.find(photo, new Found()));
        });
        stage.requestFocus();
    }

    private final class Found implements Finding.Listener<List<List<Point>>> {
        @Override
        public void found(List<List<Point>> lines) {
            take(lines);
        }

        @Override
        public void failed(PhotoProblem problem) {
            easel.say(Words.say(problem));
        }
    }

    private void take(List<List<Point>> found) {
        if (found.size() < LensFit.FEWEST) {
            easel.say(Words.get("bent.tooFew", found.size()));
            return;
        }
        easel.say("");
        beginLineAfter(found);
        fit = Optional.empty();
        show();
    }

    private long count() {
        return lines.stream().filter(line -> line.size() >= LensFit.FEWEST).count();
    }

    private void show() {
        stage.overlay().onPhoto().show(segments());
        int points = last().size() >= LensFit.FEWEST ? 0 : last().size();
        String said = fit.map(found -> Words.get("bent.remains", Words.number(found.remains(), 1)))
                .orElseGet(() -> Words.get("bent.count", count()) + Words.get("bent.points", points));
        Button next = button("next", this::nextLine);
        next.setDisable(last().size() < LensFit.FEWEST);
        Button back = button("back", this::back);
        back.setDisable(lines.size() == 1 && last().isEmpty());
        Button straighten = button("straighten", this::straighten);
        straighten.setDisable(count() < LensFit.FEWEST || fit.isPresent());
        bar.getChildren().setAll(Parts.label(said, "small"), button("find", this::find), next, back, straighten);
        fit.ifPresent(found -> bar.getChildren().add(button("keep", () -> lens.keep(found))));
        Button away = button("away", easel::putDown);
        away.getStyleClass().add("flat");
        bar.getChildren().add(away);
        bar.setVisible(true);
        bar.place(stage);
    }

    private static Button button(String what, Runnable action) {
        Button button = Parts.button("bent." + what, action, "small-button");
        button.setId("bent-" + what);
        return button;
    }

    /** The lines drawn, from point to point; the points of the last one are crosses. */
    private List<Segment> segments() {
        List<Segment> segments = new ArrayList<>();
        for (List<Point> line : lines) {
            for (int i = 1; i < line.size(); i++) {
                segments.add(new Segment(line.get(i - 1), line.get(i)));
            }
        }
        double arm =
                stage.projection().map(projection -> ARM / projection.scale()).orElse(ARM);
        for (Point point : last()) {
            segments.add(new Segment(point.minus(new Point(arm, 0)), point.plus(new Point(arm, 0))));
            segments.add(new Segment(point.minus(new Point(0, arm)), point.plus(new Point(0, arm))));
        }
        return segments;
    }
}
