"""Prints, as JSON, where Python's struct puts the members of these structures without any alignment ('<').
python3 packed.py > packed.json"""
import json
import struct

STRUCTURES = {
    "mixed": "B h i B d f".split(),
    "shorts": "h B B B".split(),
    "longs": "B q h".split(),
    "arrays": "3B 2f B 2h".split(),
}

table = {}
for name, formats in STRUCTURES.items():
    offsets = {}
    for i, letter in enumerate("abcdef"[: len(formats)]):
        offsets[letter] = struct.calcsize("<" + "".join(formats[:i]))
    table[name] = {"size": struct.calcsize("<" + "".join(formats)), "offsets": offsets}
print(json.dumps(table, indent=2))
