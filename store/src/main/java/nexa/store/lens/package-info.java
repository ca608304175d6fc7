/** What is known of lenses: the open lens data, and profiles of one's own. */
package nexa.store.lens;
