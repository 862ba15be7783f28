/*
 * What planting calendars of a region say, from memory of those that extension services and growers' societies print for
 * it, and common practice. A line reads: crop, how (sow in place, set out, set bought plants or sets), what, from, to.
 *
 * best   the best day lies in the span, give or take two weeks
 * last   the last good day does
 * pick   the first pick does
 * ends   the last pick does
 * open   it may be done on every day of the span
 * shut   it is advised on no day of the span
 * never  it is not advised at all
 *
 * `spring`, `autumn` and `overwinter` after the crop ask for that cropping alone. A reason after a # marks an exception: the
 * calendar goes by something other than frost, warmth and light.
 */

/** From memory of the planting dates of the University of Wisconsin's extension. */
export const coldContinentalCalendar = `
pea spring sow best 04-10 05-05
spinach spring sow best 04-05 05-01
lettuce spring sow best 04-10 05-10
radish spring sow best 04-10 05-10
carrot spring sow best 04-15 05-15
beet spring sow best 04-15 05-15
broad-bean spring sow best 04-05 05-01
onion spring plant best 04-10 05-05
potato spring plant best 04-15 05-15
cabbage spring set best 04-15 05-10
broccoli spring set best 04-15 05-15
kale spring set best 04-15 05-15
bush-bean spring sow best 05-10 05-30
sweet-corn spring sow best 05-05 05-30
tomato spring set best 05-15 06-05
pepper spring set best 05-25 06-10
eggplant spring set best 05-25 06-12
cucumber spring sow best 05-20 06-10
zucchini spring sow best 05-20 06-10
winter-squash spring sow best 05-20 06-10
melon spring set best 05-25 06-15
sweet-potato spring plant best 05-25 06-15
bush-bean sow last 07-20 08-05
cucumber sow last 07-01 07-20
sweet-corn sow last 06-25 07-10
carrot sow last 07-15 08-05
beet sow last 07-20 08-10
lettuce autumn sow best 07-25 08-20
spinach autumn sow best 08-05 08-31
spinach autumn sow last 08-25 09-15
radish autumn sow last 09-01 09-20
kale autumn set best 07-01 08-01
broccoli autumn set best 07-05 08-01
turnip autumn sow best 07-15 08-15
pea autumn sow last 07-25 08-15
garlic overwinter plant best 10-01 10-25
garlic overwinter plant pick 07-05 07-25
tomato spring set pick 07-20 08-20
tomato spring set ends 09-25 10-15
pole-bean spring sow ends 09-25 10-15
kale spring set ends 11-01 12-15
chard spring sow ends 10-15 11-20
leek spring set ends 11-01 12-15
brussels-sprouts set best 05-15 06-20
brussels-sprouts set pick 09-25 10-31
parsnip spring sow pick 10-01 11-05
sweet-corn spring sow pick 07-20 08-15
asparagus plant pick 04-25 05-20
strawberry plant pick 06-05 06-25
lettuce sow shut 11-01 03-15
`;

/** From memory of the garden calendar of the University of Georgia's extension. */
export const humidSubtropicalCalendar = `
bush-bean spring sow best 04-01 05-01
bush-bean autumn sow best 07-20 08-25
beet spring sow best 02-15 04-01
beet autumn sow best 08-01 09-20
broccoli spring set best 02-15 03-31
broccoli autumn set best 08-01 09-15
cabbage spring set best 02-01 04-01
cabbage autumn set best 08-01 10-01
carrot spring sow best 01-15 03-20
carrot autumn sow best 08-20 09-15
collards spring set best 02-01 03-31
collards autumn set best 08-01 10-01
cucumber spring sow best 04-01 05-15
cucumber sow last 08-15 09-05
eggplant spring set best 04-01 05-15
kale spring set best 02-01 03-20
kale autumn set best 08-01 10-01
lettuce spring sow best 01-15 03-15
lettuce autumn sow best 09-01 10-01
lettuce sow shut 06-15 07-31
mustard spring sow best 01-15 04-01
mustard autumn sow best 08-20 10-01
okra spring sow best 04-15 06-01
onion overwinter plant best 10-10 12-05
garlic overwinter plant best 10-01 11-15
garlic overwinter plant pick 05-15 06-20
pea spring sow best 01-15 02-28
cowpea spring sow best 04-01 06-15
potato spring plant best 01-25 03-15
radish spring sow best 01-15 04-01
radish autumn sow best 09-01 10-15
spinach spring sow best 01-15 03-15
spinach autumn sow best 09-01 10-15
zucchini spring sow best 04-01 05-15
sweet-corn spring sow best 03-15 06-01
sweet-potato spring plant best 04-15 06-01
tomato spring set best 03-25 05-01
tomato spring set ends 11-01 11-25
turnip spring sow best 01-15 04-01
turnip autumn sow best 08-10 09-15
watermelon spring sow best 03-20 05-10
peanut spring sow best 04-10 05-31
`;

/** From memory of maritime calendars of the Pacific Northwest. */
export const marineCalendar = `
pea spring sow best 02-15 04-15
spinach spring sow best 02-20 04-15
lettuce spring sow best 03-01 04-30
radish spring sow best 03-01 04-30
carrot spring sow best 03-20 05-15
beet spring sow best 03-20 05-15
chard spring sow best 03-20 05-15
potato spring plant best 03-15 05-01
onion spring plant best 03-01 04-15
cabbage spring set best 03-15 04-30
broccoli spring set best 03-15 05-01
kale spring set best 03-10 05-01
bush-bean spring sow best 05-10 06-10
bush-bean sow last 07-10 07-31
sweet-corn spring sow best 05-01 06-01
tomato spring set best 05-10 06-05
tomato spring set pick 07-25 08-31
tomato spring set ends 10-15 11-20
pepper spring set best 05-25 06-15
eggplant spring set best 05-20 06-15
cucumber spring sow best 05-20 06-15
zucchini spring sow best 05-15 06-10
winter-squash spring sow best 05-15 06-10
lettuce sow last 08-15 09-15
lettuce sow shut 12-15 01-20
spinach autumn sow best 08-01 09-10
kale autumn set best 07-15 08-25
carrot sow last 07-10 08-10
broad-bean overwinter sow best 10-10 11-20
garlic overwinter plant best 10-01 11-05
garlic overwinter plant pick 06-20 07-20
brussels-sprouts set best 06-01 07-10
parsnip spring sow pick 10-15 12-15
asparagus plant pick 04-01 05-10
okra sow never
watermelon sow never
`;

/** From memory of the planting calendar of the University of Arizona's extension for Maricopa County. */
export const lowDesertCalendar = `
lettuce sow open 10-01 01-31
lettuce sow shut 05-15 08-15
carrot sow open 10-01 02-15
carrot sow shut 06-01 08-15
beet sow open 09-25 02-10
spinach sow open 10-10 01-31
radish sow open 10-01 03-01
pea sow open 10-01 01-15
broccoli set open 10-15 12-31
cabbage set open 10-10 12-31
kale set open 10-10 12-31
cauliflower set open 10-10 12-15
turnip sow open 10-01 01-31
chard sow open 10-01 01-31
onion overwinter plant best 10-15 12-31
potato spring plant best 01-15 02-28
broad-bean overwinter sow best 10-01 11-30
garlic overwinter plant best 09-20 11-15
garlic overwinter plant pick 04-20 06-10
tomato spring set best 02-10 03-20
tomato autumn set best 07-15 08-31
pepper spring set best 02-20 04-01
eggplant spring set best 03-01 04-15
bush-bean spring sow best 03-01 04-15
bush-bean autumn sow best 08-10 09-15
sweet-corn spring sow best 02-15 04-01
sweet-corn autumn sow best 07-20 09-01
zucchini spring sow best 02-15 04-15
zucchini autumn sow best 08-10 09-20
cucumber spring sow best 02-20 04-15
cucumber autumn sow best 08-10 09-20
melon spring sow best 02-20 05-01
watermelon spring sow best 02-20 05-01
okra spring sow best 03-10 05-31
sweet-potato spring plant best 03-01 06-01
cowpea sow open 04-01 07-01
basil spring set best 03-01 05-01
`;

/** From memory of the calendars of Mexico's ministry of agriculture for family gardens of the high valleys. */
export const highlandCalendar = `
lettuce sow open 06-15 09-30
carrot sow open 02-15 09-15
radish sow open 06-15 10-15
chard sow open 03-01 09-15
beet sow open 02-20 09-15
turnip sow open 06-01 09-30
cilantro sow open 06-15 09-30
spinach autumn sow best 08-01 10-31
broccoli set open 06-01 08-31
cabbage set open 03-01 08-31
kale set open 03-01 08-31
bush-bean sow open 04-01 07-31
pole-bean spring sow best 03-15 06-15 # waits for the rains of June
sweet-corn spring sow best 03-15 05-31 # waits for the rains of June
zucchini spring sow best 03-01 06-15
cucumber spring sow best 03-15 06-15
winter-squash spring sow best 03-15 06-15
tomato spring set best 03-01 05-31 # waits for the late frosts of the valley's edge, weeks after the city's last
tomato spring set ends 11-15 12-20
tomatillo spring set best 03-01 06-15 # waits for the late frosts of the valley's edge, weeks after the city's last
chile spring set best 03-01 06-01
basil spring set best 03-15 06-15
potato spring plant best 02-01 04-30
garlic overwinter plant best 09-15 11-30
sunflower sow open 04-01 07-15
pea sow open 09-01 10-15
parsley set open 03-01 08-31
onion plant open 02-01 03-10
`;

/** From memory of South Australian planting guides. */
export const mediterraneanSouthCalendar = `
tomato spring set best 09-20 11-15
tomato spring set ends 05-15 07-01
pepper spring set best 10-01 12-01
eggplant spring set best 10-01 12-01
bush-bean spring sow best 09-15 11-15
bush-bean sow open 10-01 01-31
sweet-corn spring sow best 09-15 11-30
zucchini spring sow best 09-20 11-30
cucumber spring sow best 09-25 12-01
winter-squash spring sow best 09-20 12-01
melon spring sow best 10-01 12-10
okra spring sow best 10-01 12-31
basil spring set best 09-25 12-01
pea autumn sow best 03-15 06-15
broad-bean overwinter sow best 04-01 06-15
garlic overwinter plant best 03-15 05-20
garlic overwinter plant pick 10-20 12-20
onion plant open 05-15 07-15
spinach autumn sow best 03-01 05-15
lettuce sow open 03-20 04-30
lettuce sow open 08-15 09-15
carrot sow open 08-15 10-15
carrot sow open 02-15 04-15
beet sow open 08-15 10-15
radish sow open 03-01 05-01
broccoli autumn set best 02-15 04-30
cabbage autumn set best 02-15 05-01
cauliflower autumn set best 02-10 04-15
kale autumn set best 02-15 05-01
turnip autumn sow best 02-15 04-30
potato spring plant best 08-01 10-01
`;

/** From memory of British calendars, as they are shifted for Scotland. */
export const coolOceanicCalendar = `
broad-bean spring sow best 02-25 04-15
pea spring sow best 03-15 05-05
lettuce spring sow best 03-25 05-10
radish spring sow best 03-15 05-01
spinach spring sow best 03-10 05-01
carrot spring sow best 04-01 05-20
beet spring sow best 04-10 05-25
chard spring sow best 04-10 06-01
parsnip spring sow best 03-10 05-01
parsnip spring sow pick 10-15 12-01
onion spring plant best 03-15 04-25
potato spring plant best 04-01 05-10
cabbage spring set best 04-10 06-01
brussels-sprouts set best 05-10 06-25
brussels-sprouts set pick 10-01 12-15
leek spring set best 04-25 06-20 # raised in an outdoor seedbed there, and so ready to be moved only in early summer
bush-bean spring sow best 05-20 06-20
runner-bean spring sow best 05-20 06-20
zucchini spring set best 05-25 06-20
tomato spring set best 05-25 06-20
garlic overwinter plant best 10-01 11-15
garlic overwinter plant pick 07-01 08-10
lettuce sow shut 12-01 02-10
lettuce sow last 07-25 08-31
spinach autumn sow best 07-25 09-05
turnip autumn sow best 06-25 08-10
kale autumn set best 06-15 07-31
watermelon set never
melon set never
okra set never
sweet-potato plant never
lima-bean sow never
rhubarb plant pick 03-25 05-05
strawberry plant pick 06-05 07-05
asparagus plant pick 04-20 05-20
`;

/** From memory of the planting calendar of the Philippine bureau of plant industry for lowlands. */
export const tropicalCalendar = `
tomato set open 10-15 12-15 # counts on kinds that set fruit in nights of 25 °C
tomato set best 09-15 01-15
pepper set best 09-01 12-31
eggplant set open 09-15 01-15
okra sow open 01-05 12-20
cowpea sow open 01-05 12-20
sweet-potato plant open 01-05 12-20
peanut sow open 11-01 01-31
sweet-corn sow open 10-01 11-30
sweet-corn sow open 05-20 06-30
cucumber sow open 10-01 12-31
zucchini sow open 10-15 01-15
winter-squash sow open 10-01 12-31
watermelon sow open 11-01 01-31
melon sow open 11-01 01-31
bush-bean sow open 10-15 12-31
basil set open 10-01 01-31
lettuce sow best 09-15 12-31
lettuce sow shut 03-15 06-15
radish sow best 09-15 12-31
cabbage set best 09-20 12-31
broccoli set best 09-20 12-31
cauliflower set best 09-20 12-31
pak-choi sow best 09-15 12-31
mustard sow best 09-15 12-31
carrot sow best 09-15 12-31
garlic plant best 09-20 12-15
spinach sow never
pea sow never
broad-bean sow never
potato plant never
`;
