package nexa.desktop.shell;

import java.util.concurrent.CompletableFuture;
import javafx.scene.layout.BorderPane;
import nexa.desktop.parts.View;
import nexa.desktop.session.ShootSession;

/** The shoot that is open, with its views and the one of them that is in front. */
final class OpenShoot {
    private final ShootSession session;
    private final ShootNews news;
    private final Views views;
    private final TopBar topBar;
    private final BorderPane frame;
    private View front;

    /**
     * Shows a shoot.
     *
     * @param frame where the view in front is shown, below the top bar
     * @param first the key of the view to begin with
     */
    OpenShoot(ShootSession session, ShootNews news, Views views, TopBar topBar, BorderPane frame, String first) {
        this.session = session;
        this.news = news;
        this.views = views;
        this.topBar = topBar;
        this.frame = frame;
        frame.setTop(topBar);
        show(views.get(first));
    }

    ShootSession session() {
        return session;
    }

    View front() {
        return front;
    }

    /** Brings a view to the front, by its key. */
    void go(String key) {
        // The view is built before the one in front is left, as that may take a moment.
        View next = views.get(key);
        front.finish();
        show(next);
    }

    private void show(View view) {
        front = view;
        topBar.mark(view);
        frame.setCenter(view.node());
        view.shown();
    }

    void undo() {
        front.finish();
        session.edits().undo();
    }

    void redo() {
        front.finish();
        session.edits().redo();
    }

    /** Puts it away; done when everything is saved. */
    CompletableFuture<Void> close() {
        views.dispose();
        news.close();
        return session.close();
    }
}
