/** Small simulated outside services that ship with Gastfreund and are reached over their real protocols only. */
package gastfreund.standins;
