/** A shop of somebody else that sells boxes of clay, and times of the house within its own checkout. */
package gastfreund.standins.shop;
