/**
 * The desk below the stage: what its parts are laid out in and made of. The parts are those of the easel's tools; only they and
 * the easel may use it. Start at {@link nexa.desktop.desk.Desk}.
 */
package nexa.desktop.desk;
