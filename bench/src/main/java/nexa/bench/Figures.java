package nexa.bench;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;

/** Times of something done many times, told as median and 95th percentile. */
final class Figures {
    private final String name;
    private final List<Double> millis = new ArrayList<>();

    /** Something to time. */
    interface Work {
        Object run() throws Exception;
    }

    Figures(String name) {
        this.name = name;
    }

    void add(double time) {
        millis.add(time);
    }

    /** How long something takes, in milliseconds by the clock. */
    static double time(Work work) throws Exception {
        long began = System.nanoTime();
        work.run();
        return (System.nanoTime() - began) / 1e6;
    }

    int count() {
        return millis.size();
    }

    double median() {
        return at(0.5);
    }

    private double at(double share) {
        List<Double> sorted = new ArrayList<>(millis);
        Collections.sort(sorted);
        return sorted.get((int) Math.min(sorted.size() - 1, Math.floor(share * sorted.size())));
    }

    void print() {
        if (millis.isEmpty()) {
            System.out.println(name + ": nothing measured");
            return;
        }
        System.out.println(String.format(
                Locale.ROOT, "%-46s n %4d   median %8.1f ms   p95 %8.1f ms", name, millis.size(), at(0.5), at(0.95)));
    }
}
