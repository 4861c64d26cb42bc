"""The tray of the transport measurements by a general-purpose stiff integrator, to be timed beside the product's own.

Reads one JSON request on standard input: the cells (volumes, conductances, skin), the flux constants and the hour to go to.
Prints the mean moisture there, the seconds taken (the best of three), and the calls of the right-hand side.
"""

import json
import sys
import time

import numpy as np
from scipy.integrate import solve_ivp

request = json.load(sys.stdin)
volumes = np.array(request["volumes"])
conductances = np.array(request["conductances"])
start, diffusivity, skin, area = (request[name] for name in ("start", "diffusivity", "skinM", "area"))
carried, outside, k_and_c, power = (request[name] for name in ("carried", "outside", "kAndC", "power"))


def surface(last):
    """Where what comes from within is what leaves, by Newton's method kept in bounds."""
    resistance, low, high, value = skin / diffusivity, 0.0, max(last, 1e-9), last
    for _ in range(50):
        wet = max(value, 0.0)
        activity = -np.expm1(-k_and_c * (100 * wet) ** power)
        slope = np.exp(-k_and_c * (100 * wet) ** power) * k_and_c * power * (100 * wet) ** (power - 1) * 100
        over = value - last + resistance * carried * (activity - outside)
        low, high = (low, value) if over > 0 else (value, high)
        step = value - over / (1 + resistance * carried * slope)
        step = step if low < step < high else (low + high) / 2
        if abs(step - value) < 1e-13:
            return step
        value = step
    return value


def rates(_, values):
    flows = diffusivity * conductances[:-1] * (values[:-1] - values[1:])
    out = np.empty_like(values)
    out[0] = -flows[0]
    out[1:-1] = flows[:-1] - flows[1:]
    out[-1] = flows[-1] - area * diffusivity * (values[-1] - surface(values[-1])) / skin
    return out / volumes


best, solution = None, None
for _ in range(3):
    began = time.perf_counter()
    solution = solve_ivp(
        rates,
        (0, request["untilS"]),
        np.full(len(volumes), start),
        method="LSODA",
        lband=1,
        uband=1,
        rtol=request["rtol"],
        atol=request["rtol"] * start,
    )
    took = time.perf_counter() - began
    best = took if best is None else min(best, took)
mean = float((solution.y[:, -1] * volumes).sum() / volumes.sum())
print(json.dumps({"mean": mean, "seconds": best, "calls": int(solution.nfev)}))
