/**
 * Where the system sends files that a person shares with the app. The service worker answers before they leave the device;
 * what comes here did so because there is none yet: nothing is read or kept, and the page says what to do.
 */
export function POST(): Response {
  return new Response(null, { status: 303, headers: { Location: '/handover?part=take&shared=none' } });
}

export function GET(): Response {
  return new Response(null, { status: 303, headers: { Location: '/handover?part=take' } });
}
