/** The farms that bring animals to the demo shop, by road and by the ferry; all invented. */
export const FARMS: Readonly<Record<string, string>> = {
  'Low Tarn': '555 0121',
  Brackenhow: '555 0122',
  'Oxter Hill': '555 0123',
  'Windle Croft': '555 0124',
  Saltgate: '555 0125',
  'Gannet Ness': '555 0126',
  'Thistle Bield': '555 0127',
  'Merrow End': '555 0128',
  'Hollin Bank': '555 0129',
  'Stane Dyke': '555 0130',
};
