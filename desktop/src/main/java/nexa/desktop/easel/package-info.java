/**
 * The easel: one photo on the {@link nexa.desktop.stage}, the {@link nexa.desktop.desk} below it, and what the hand does to
 * both. Only the shell may use it. Start at {@link nexa.desktop.easel.EaselView}; keys and mouse lead to the same {@code
 * CropGestures}.
 */
package nexa.desktop.easel;
