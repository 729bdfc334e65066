"""Writes struct-table.testing.json: values as Python's struct packs them, and what other orders make of the bytes."""
import json
import pathlib
import struct

CODES = {"INT": "h", "UINT": "H", "DINT": "i", "UDINT": "I", "LINT": "q", "ULINT": "Q", "REAL": "f", "LREAL": "d"}
VALUES = {
    "INT": [4660, -1, -32768, 12345],
    "UINT": [4660, 65535],
    "DINT": [100000, -2, 12345],
    "UDINT": [100000, 4294967294],
    "LINT": [81985529216486895, -2],
    "ULINT": [18446744073709551614],
    "REAL": [123.456, 1.0, -0.5],
    "LREAL": [123.456, 1.0, -0.5],
}


def words(data, order):
    return b"".join(data[2 * i : 2 * i + 2] for i in order)


rows = []
for name, values in VALUES.items():
    for value in values:
        data = struct.pack(">" + CODES[name], value)
        count = len(data) // 2
        rearranged = {
            "words": words(data, reversed(range(count))) if count == 2 else words(data, [i ^ 1 for i in range(count)]),
            "exchanged": b"".join(data[i ^ 1 : (i ^ 1) + 1] for i in range(len(data))),
            "all": data[::-1],
        }
        row = {"type": name, "value": str(value), "bytes": data.hex().upper()}
        for key, other in rearranged.items():
            if count == 1 and key == "words":
                continue
            read = struct.unpack(">" + CODES[name], other)[0]
            row[key] = {"bytes": other.hex().upper(), "value": str(read)}
        rows.append(row)
path = pathlib.Path(__file__).with_suffix(".json")
path.write_text(json.dumps(rows, indent=1) + "\n")
