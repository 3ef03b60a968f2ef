"""Writes scipy.json beside this file: filters, a zero-phase pass and Welch densities as SciPy works them out."""

import json
import pathlib

import numpy as np
import scipy
from scipy import signal

rng = np.random.default_rng(20261125)
rate = 100
t = np.arange(400) / rate
x = np.round(40 + 30 * np.sin(2 * np.pi * 0.5 * t) + 2 * np.sin(2 * np.pi * 8 * t) + rng.normal(0, 1, t.size), 4)
b, a = signal.butter(2, 6, fs=rate)
frequencies, density = signal.welch(x, fs=rate, window="hann", nperseg=128, noverlap=64, detrend="constant")

data = {
    "madeWith": f"SciPy {scipy.__version__}",
    "rate": rate,
    "input": x.tolist(),
    "butter": {
        f"{cutoff}/{fs}": {"b": signal.butter(2, cutoff, fs=fs)[0].tolist(), "a": signal.butter(2, cutoff, fs=fs)[1].tolist()}
        for cutoff, fs in [(6, 100), (6, 50), (4, 200), (2, 20)]
    },
    "filtfilt": np.round(signal.filtfilt(b, a, x), 8).tolist(),
    "welch": {"size": 128, "step": float(frequencies[1]), "density": np.round(density, 10).tolist()},
}
pathlib.Path(__file__).with_name("scipy.json").write_text(json.dumps(data) + "\n")
