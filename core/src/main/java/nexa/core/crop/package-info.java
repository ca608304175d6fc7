/**
 * What can be done to one crop: settle a wish, slide, resize, tighten, turn. Every operation takes values and returns a
 * new crop that lies in the photo; none knows formats or shoots. Everything outside of core may use it. Start at {@link
 * nexa.core.crop.Resize}.
 */
package nexa.core.crop;
