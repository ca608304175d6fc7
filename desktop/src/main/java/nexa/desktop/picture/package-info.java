/**
 * Pictures in the scene: small ones that fill themselves in the background, and what is drawn over pictures. The stage and
 * the views may use it. Start at {@link nexa.desktop.picture.Thumb}.
 */
package nexa.desktop.picture;
