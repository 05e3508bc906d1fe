/** Vouchers and passes: prepaid money and prepaid visits, from their sale to their last use. */
package gastfreund.app.vouchers;
