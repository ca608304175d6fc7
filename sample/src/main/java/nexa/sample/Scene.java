package nexa.sample;

import java.util.List;

/** Things in some light, and what the eye sees along a ray. */
final class Scene {
    private final Surface[] surfaces;
    private final Light light;

    Scene(List<? extends Surface> surfaces, Light light) {
        this.surfaces = surfaces.toArray(new Surface[0]);
        this.light = light;
    }

    /** The light that comes back along a ray. */
    Vec seen(Vec origin, Vec direction, Sampler random) {
        return seen(origin, direction, random, true);
    }

    private Vec seen(Vec origin, Vec direction, Sampler random, boolean reflect) {
        Surface nearest = null;
        double distance = Surface.NONE;
        for (Surface surface : surfaces) {
            double t = surface.hit(origin, direction, 1e-5);
            if (t < distance) {
                distance = t;
                nearest = surface;
            }
        }
        if (nearest == null) {
            return light.background(origin, direction);
        }
        Vec point = origin.plus(direction.times(distance));
        Surface.Patch patch = nearest.at(point, direction);
        Vec lifted = point.plus(patch.normal().times(2e-5));
        Vec direct = light.direct(this, lifted, patch.normal(), random);
        Vec scattered = patch.colour().times(direct.plus(around(lifted, patch, random)));
        if (!reflect || patch.gloss() <= 0) {
            return scattered;
        }
        double facing = Math.max(0, -direction.dot(patch.normal()));
        double mirror =
                patch.gloss() + (1 - patch.gloss()) * Math.pow(1 - facing, 5) * (patch.gloss() > 0.04 ? 0.8 : 0.35);
        Vec bounce = direction.reflect(patch.normal());
        Vec spread = new Vec(random.next() - 0.5, random.next() - 0.5, random.next() - 0.5);
        bounce = bounce.plus(spread.times(2 * patch.blur())).unit();
        if (bounce.dot(patch.normal()) <= 0) {
            return scattered;
        }
        return scattered
                .times(1 - mirror)
                .plus(seen(lifted, bounce, random, false).times(mirror));
    }

    /** The light of the room, from one random direction, less where other things stand near. */
    private Vec around(Vec point, Surface.Patch patch, Sampler random) {
        double[] spread = random.spread(2);
        double z = 2 * spread[0] - 1;
        double turn = 2 * Math.PI * spread[1];
        double r = Math.sqrt(1 - z * z);
        Vec direction = patch.normal()
                .plus(new Vec(r * Math.cos(turn), r * Math.sin(turn), z).times(0.999))
                .unit();
        Surface nearest = null;
        double distance = light.reach();
        for (Surface surface : surfaces) {
            double t = surface.hit(point, direction, 1e-5);
            if (t < distance) {
                distance = t;
                nearest = surface;
            }
        }
        if (nearest == null) {
            return light.ambient(direction);
        }
        Vec there = point.plus(direction.times(distance));
        Vec back = direction.times(-1);
        return nearest.tint()
                .times(light.direct(this, there.plus(back.times(2e-5)), back, random)
                        .plus(light.ambient(back).times(0.4)));
    }

    boolean isBlocked(Vec origin, Vec direction, double distance) {
        for (Surface surface : surfaces) {
            if (surface.hit(origin, direction, 1e-5) < distance) {
                return true;
            }
        }
        return false;
    }
}
