/**
 * How a digital caliper is listened to: an event stream (text/event-stream), one message to a press of its button,
 * whose data is the line the tool shows: a figure and its unit, “12.34 mm”; without a unit it is in that of who reads.
 * The demo ships a simulated one at this address. A tool with a cable sends the same lines over a serial port at
 * 9,600 baud; one that types them needs nothing but the input.
 *
 * @example simulatedCaliper('b31d97d3-61ab-53fc-8c10-6983aca2fcf0') // '/caliper/readings?cohort=b31d97d3-…'
 */
export const simulatedCaliper = (cohortId: string): string => `${CALIPER_PATH}?cohort=${cohortId}`;
export const CALIPER_PATH = '/caliper/readings';
