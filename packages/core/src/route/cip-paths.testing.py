"""Wraps encoded paths into frames and has them read by tshark, an independent dissector from Debian's packages.

usage: cip-paths.testing.py < cases.json > cip-paths.testing.json

A case is {"hops": [[port, link], …], "bytes": "01 00"}: what was encoded, and the bytes that came of it. Each is put as the
route path of an Unconnected Send (service 52 hex of the Connection Manager) into SendRRData of EtherNet/IP, in TCP to 44818.
What the dissector reads there is added as "read". No data of the cases themselves is shown to it.
"""

import json
import re
import struct
import subprocess
import sys
import tempfile


def frame(path: bytes, source: int) -> bytes:
    message = bytes([0x0E, 0x02, 0x20, 0x01, 0x24, 0x01])
    send = bytes([0x52, 0x02, 0x20, 0x06, 0x24, 0x01, 0x07, 0xE9])
    send += struct.pack("<H", len(message)) + message
    send += bytes([len(path) // 2, 0]) + path
    items = struct.pack("<IHHHHHH", 0, 10, 2, 0, 0, 0xB2, len(send)) + send
    payload = struct.pack("<HHIIQI", 0x6F, len(items), 1, 0, 0, 0) + items
    tcp = struct.pack(">HHIIBBHHH", source, 44818, 1, 1, 0x50, 0x18, 8192, 0, 0) + payload
    ip = struct.pack(">BBHHHBBH4s4s", 0x45, 0, 20 + len(tcp), 1, 0, 64, 6, 0, bytes([10, 0, 0, 1]), bytes([10, 0, 0, 2]))
    return bytes(12) + b"\x08\x00" + ip + tcp


def read_back(paths: list[bytes]) -> list[list[str]]:
    with tempfile.NamedTemporaryFile(suffix=".pcap") as file:
        file.write(struct.pack("<IHHiIII", 0xA1B2C3D4, 2, 4, 0, 0, 65535, 1))
        for i, path in enumerate(paths):
            data = frame(path, 50000 + i)
            file.write(struct.pack("<IIII", 0, 0, len(data), len(data)) + data)
        file.flush()
        text = subprocess.run(
            ["tshark", "-r", file.name, "-V", "-O", "cip,cipcm,enip"], capture_output=True, text=True, check=True
        ).stdout
    frames = re.split(r"^Frame \d+:", text, flags=re.MULTILINE)[1:]
    return [
        [line.strip() for line in one.splitlines() if re.match(r"\s+(Route Path: |Port Extended: )", line)] for one in frames
    ]


cases = json.load(sys.stdin)
for case, reading in zip(cases, read_back([bytes.fromhex(case["bytes"]) for case in cases])):
    case["read"] = reading
print(json.dumps(cases, indent=1))
