import type { CDPSession, Page } from '@playwright/test';

const RAD = Math.PI / 180;
const G = 9.80665;

/** The motion sensors of a made phone, through the browser's own emulation. */
export class MadeSensors {
  private constructor(private readonly session: CDPSession) {}

  static async of(page: Page): Promise<MadeSensors> {
    const sensors = new MadeSensors(await page.context().newCDPSession(page));
    for (const type of ['accelerometer', 'linear-acceleration', 'gyroscope'] as const)
      await sensors.session.send('Emulation.setSensorOverrideEnabled', {
        enabled: true,
        type,
        metadata: { available: true, minimumFrequency: 1, maximumFrequency: 60 },
      });
    await sensors.stands(0, 0);
    await sensors.turns(0, 0, 0);
    return sensors;
  }

  /** Held with its back where a lens looks that is rolled clockwise and looks down by so many degrees. */
  async stands(tiltDeg: number, pitchDeg: number): Promise<void> {
    const [tilt, pitch] = [tiltDeg * RAD, pitchDeg * RAD];
    await this.reads('accelerometer', {
      x: -G * Math.cos(pitch) * Math.sin(tilt),
      y: G * Math.cos(pitch) * Math.cos(tilt),
      z: G * Math.sin(pitch),
    });
    await this.reads('linear-acceleration', { x: 0, y: 0, z: 0 });
  }

  /** Turns about its axes, degrees a second. */
  turns(x: number, y: number, z: number): Promise<void> {
    return this.reads('gyroscope', { x: x * RAD, y: y * RAD, z: z * RAD });
  }

  private async reads(
    type: 'accelerometer' | 'linear-acceleration' | 'gyroscope',
    xyz: { x: number; y: number; z: number },
  ): Promise<void> {
    await this.session.send('Emulation.setSensorOverrideReadings', { type, reading: { xyz } });
  }

  /** Shakes until `over`: so many degrees a second rms about x and y together, and half as much about z. */
  async shakes(rms: number, hz: number, over: () => boolean): Promise<void> {
    const began = Date.now();
    while (!over()) {
      const turn = 2 * Math.PI * hz * ((Date.now() - began) / 1000);
      await this.turns(rms * Math.sin(turn), rms * Math.cos(turn), (rms / Math.SQRT2) * Math.sin(turn + 0.7));
      await new Promise((resolve) => setTimeout(resolve, 8));
    }
  }
}

/**
 * The same shake, each reading made in the page at the moment it is told, so that a machine that stalls shakes no less: for
 * figures. Until the page goes.
 */
export async function shakeInPage(page: Page, rms: number, hz: number): Promise<void> {
  await page.evaluate(
    ([speed, rate]) => {
      setInterval(() => {
        const turn = 2 * Math.PI * rate * (performance.now() / 1000);
        const rotationRate = {
          beta: speed * Math.sin(turn),
          gamma: speed * Math.cos(turn),
          alpha: (speed / Math.SQRT2) * Math.sin(turn + 0.7),
        };
        const accelerationIncludingGravity = { x: 0, y: 9.8, z: 0 };
        window.dispatchEvent(
          new DeviceMotionEvent('devicemotion', { rotationRate, accelerationIncludingGravity, interval: 10 }),
        );
      }, 10);
    },
    [rms, hz] as const,
  );
}
