package nexa.core.shape;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** A polynomial of one variable, of low degree. */
final class Polynomial {
    private static final int HALVINGS = 200;

    /** By rising powers. */
    private final double[] factors;

    Polynomial(double... factors) {
        this.factors = factors;
    }

    /** Whether it has the same value everywhere. */
    boolean isConstant() {
        return Arrays.stream(factors).skip(1).allMatch(factor -> factor == 0);
    }

    double at(double x) {
        double sum = 0;
        for (int i = factors.length - 1; i >= 0; i--) {
            sum = sum * x + factors[i];
        }
        return sum;
    }

    Polynomial derivative() {
        double[] slopes = new double[Math.max(1, factors.length - 1)];
        for (int i = 1; i < factors.length; i++) {
            slopes[i - 1] = i * factors[i];
        }
        return new Polynomial(slopes);
    }

    /** This with every factor multiplied by one, and another one added to the one of a power. */
    Polynomial timesPlus(double times, int power, double added) {
        double[] changed = new double[Math.max(factors.length, power + 1)];
        for (int i = 0; i < factors.length; i++) {
            changed[i] = factors[i] * times;
        }
        changed[power] += added;
        return new Polynomial(changed);
    }

    /** The polynomial p(x · scale). */
    Polynomial stretched(double scale) {
        double[] changed = factors.clone();
        double power = 1;
        for (int i = 0; i < changed.length; i++) {
            changed[i] *= power;
            power *= scale;
        }
        return new Polynomial(changed);
    }

    /** The polynomial x · p(x). */
    Polynomial timesX() {
        double[] changed = new double[factors.length + 1];
        System.arraycopy(factors, 0, changed, 1, factors.length);
        return new Polynomial(changed);
    }

    /** Where it is 0 between two places, rising; where it only touches 0 may be left out. Between its turns it is monotonous. */
    List<Double> roots(double from, double to) {
        List<Double> roots = new ArrayList<>();
        if (factors.length < 2) {
            return roots;
        }
        List<Double> bounds = new ArrayList<>(derivative().roots(from, to));
        bounds.add(to);
        double left = from;
        for (double right : bounds) {
            if ((at(left) < 0) != (at(right) < 0)) {
                roots.add(root(left, right));
            }
            left = right;
        }
        return roots;
    }

    private double root(double from, double to) {
        double left = from;
        double right = to;
        boolean isBelow = at(left) < 0;
        for (int i = 0; i < HALVINGS && left < right; i++) {
            double middle = (left + right) / 2;
            if (middle == left || middle == right) {
                break;
            }
            if ((at(middle) < 0) == isBelow) {
                left = middle;
            } else {
                right = middle;
            }
        }
        return (left + right) / 2;
    }
}
