/** The house's own ground: its data folder and file, its clock and address, and how things are said in its languages. */
package gastfreund.app.house;
