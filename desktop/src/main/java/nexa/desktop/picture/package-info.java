/** Pictures in the scene: small ones that fill themselves in the background. Start at {@link nexa.desktop.picture.Thumb}. */
package nexa.desktop.picture;
