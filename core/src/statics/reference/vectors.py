"""Hand loads worked out a second time, apart from the program: plain trigonometry, bisection where a figure has to close.

Body: de Leva's male sample at its own stature of 1.741 m (from memory). Run: python3 vectors.py > vectors.json
"""

import json
from math import asin, cos, pi, radians, sin, sqrt

LENGTH = dict(head=0.2033, trunk=0.5155, ua=0.2817, fa=0.2689, hand=0.0862, thigh=0.4222, shank=0.4403, foot=0.2581)
MASS = dict(head=6.94, trunk=43.46, ua=5.42, fa=3.24, hand=1.22, thigh=28.32, shank=8.66, foot=2.74)
CENTRE = dict(head=0.5976, trunk=0.431, ua=0.5772, fa=0.4574, hand=0.79, thigh=0.4095, shank=0.4395, foot=0.4415)
SHARE = {name: mass / sum(MASS.values()) for name, mass in MASS.items()}

STATURE = 1.741
ANKLE = 0.039 * STATURE
ARM = LENGTH["ua"] + LENGTH["fa"]
BALL, HEEL_TO_ANKLE = 0.72 * LENGTH["foot"], 0.22 * LENGTH["foot"]
CROWN = STATURE - ANKLE - LENGTH["shank"] - LENGTH["thigh"] - LENGTH["trunk"]
PALM, PRESSURE, KNEE = 0.03, 0.04, 0.05


def root(f, low, high):
    for _ in range(200):
        middle = (low + high) / 2
        if f(low) * f(middle) <= 0:
            high = middle
        else:
            low = middle
    return (low + high) / 2


def straight(lean):
    """Centres of mass and shoulder of a straight body on the ball of its foot."""
    off = BALL - HEEL_TO_ANKLE

    def at(along, across):
        return along * cos(lean) - across * sin(lean), along * sin(lean) + across * cos(lean)

    knee = ANKLE + LENGTH["shank"]
    hip = knee + LENGTH["thigh"]
    shoulder = hip + LENGTH["trunk"]
    centres = {
        "foot": at(ANKLE / 2, BALL - CENTRE["foot"] * LENGTH["foot"]),
        "shank": at(knee - LENGTH["shank"] * CENTRE["shank"], off),
        "thigh": at(hip - LENGTH["thigh"] * CENTRE["thigh"], off),
        "trunk": at(shoulder - LENGTH["trunk"] * CENTRE["trunk"], off),
        "head": at(shoulder + CROWN - CENTRE["head"] * LENGTH["head"], off),
    }
    return centres, at(shoulder, off)


def arms(shoulder_x, wrist_x):
    """Horizontal places of the centres of mass of straight arms and flat hands."""

    def on_the_way(metres):
        return shoulder_x + (wrist_x - shoulder_x) * metres / ARM

    return {
        "ua": on_the_way(LENGTH["ua"] * CENTRE["ua"]),
        "fa": on_the_way(LENGTH["ua"] + LENGTH["fa"] * CENTRE["fa"]),
        "hand": wrist_x + LENGTH["hand"] * CENTRE["hand"],
    }


def moment(places):
    return sum(SHARE[name] * x for name, x in places.items())


def plank(ahead=0.0):
    drop = sqrt(ARM**2 - ahead**2)
    lean = root(lambda t: straight(t)[1][1] - drop - PALM, 0, 0.8)
    centres, shoulder = straight(lean)
    wrist = shoulder[0] - ahead
    places = {name: x for name, (x, _) in centres.items()} | arms(shoulder[0], wrist)
    return moment(places) / (wrist + PRESSURE), lean


def raised(height):
    floor = plank()[1]
    lean = root(lambda t: straight(t)[1][1] - ARM * cos(t - floor) - PALM - height, floor, 1.2)
    centres, shoulder = straight(lean)
    wrist = shoulder[0] + ARM * sin(lean - floor)
    places = {name: x for name, (x, _) in centres.items()} | arms(shoulder[0], wrist)
    pressure = wrist + PRESSURE
    tilt = (pressure - shoulder[0]) / (shoulder[1] - height)
    return moment(places) / (pressure + tilt * height)


def kneeling(lifted):
    long = LENGTH["thigh"] + LENGTH["trunk"]
    c = cos(asin((ARM + PALM - KNEE) / long))
    places = {
        "thigh": c * LENGTH["thigh"] * (1 - CENTRE["thigh"]),
        "trunk": c * (long - LENGTH["trunk"] * CENTRE["trunk"]),
        "head": c * (long + CROWN - CENTRE["head"] * LENGTH["head"]),
    } | arms(c * long, c * long)
    if lifted:
        way = radians(135)
        places["shank"] = cos(way) * LENGTH["shank"] * CENTRE["shank"]
        sole = cos(way) * LENGTH["shank"] - ANKLE * cos(way + pi / 2)
        heel = sole - HEEL_TO_ANKLE * cos(way)
        places["foot"] = heel + CENTRE["foot"] * LENGTH["foot"] * cos(way) + ANKLE / 2 * -sin(way)
    return moment(places) / (c * long + PRESSURE)


def tabletop():
    level = sqrt(LENGTH["trunk"] ** 2 - (ARM + PALM - KNEE - LENGTH["thigh"]) ** 2)
    places = {
        "thigh": 0.0,
        "trunk": level * (1 - CENTRE["trunk"]),
        "head": level + level / LENGTH["trunk"] * (CROWN - CENTRE["head"] * LENGTH["head"]),
    } | arms(level, level)
    return moment(places) / (level + PRESSURE)


ROWS = [
    ({"position": "plank"}, plank()[0]),
    ({"position": "plank", "leanM": 0.15}, plank(0.15)[0]),
    ({"position": "push-up", "handHeightM": 0.3}, raised(0.3)),
    ({"position": "push-up", "handHeightM": 0.6}, raised(0.6)),
    ({"position": "kneeling-push-up", "shanks": "lifted"}, kneeling(True)),
    ({"position": "kneeling-push-up"}, kneeling(False)),
    ({"position": "tabletop"}, tabletop()),
]
print(json.dumps([{"setUp": set_up, "share": share} for set_up, share in ROWS], indent=2))
