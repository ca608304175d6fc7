/**
 * A shoot as an immutable value, and the edits that turn one into the next and back. Knows what was wished for each
 * photo; what crop that makes is worked out in {@link nexa.core.series}. Series and everything outside of core may use it. Start
 * at {@link nexa.core.shoot.Shoot}.
 */
package nexa.core.shoot;
