/** A program of somebody else that is told what happens, and looks whether it is the house that tells it. */
package gastfreund.standins.hooks;
