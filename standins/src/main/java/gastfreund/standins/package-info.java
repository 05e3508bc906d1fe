/** Small simulated outside services that ship with Gastfreund and are reached over their real protocols only. */
@NullMarked
package gastfreund.standins;

import org.jspecify.annotations.NullMarked;
