/**
 * The easel: one photo on the {@link nexa.desktop.stage}, the {@link nexa.desktop.desk} below it, and its tools. Only the shell
 * may use it. Start at {@link nexa.desktop.easel.EaselView}; {@code EaselTools} lists the tools of {@link nexa.desktop.tool}.
 */
package nexa.desktop.easel;
