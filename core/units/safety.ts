/** What the middle of a filling that goes in raw must reach where nothing else is said of it, °C: minced pork and egg (public food-safety tables). */
export const RAW_FILLING_C = 71;
