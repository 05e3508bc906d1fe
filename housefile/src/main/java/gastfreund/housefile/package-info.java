/**
 * The open JSON form of a whole house ({@code docs/house-format.md}), to core values, with every error of a file
 * reported together, each with its path.
 */
@NullMarked
package gastfreund.housefile;

import org.jspecify.annotations.NullMarked;
