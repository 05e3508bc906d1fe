/** The practice gateway: payments by redirect, signed notifications, and cards that behave in known ways. */
package gastfreund.standins.gateway;
