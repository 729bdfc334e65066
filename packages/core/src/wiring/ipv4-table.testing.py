"""Writes ipv4-table.testing.json: what Python's `ipaddress` says of subnets picked at random, with a fixed seed."""
import ipaddress, json, os, random

random.seed(61131)
rows = []
for i in range(400):
    prefix = i % 33
    address = ipaddress.ip_address(random.getrandbits(32))
    net = ipaddress.ip_network(f"{address}/{prefix}", strict=False)
    other_prefix = random.randint(0, 32)
    near = ipaddress.ip_address(int(net.network_address) ^ (random.getrandbits(6) << random.randint(0, 26)) & 0xFFFFFFFF)
    other = ipaddress.ip_network(f"{near}/{other_prefix}", strict=False)
    rows.append([
        f"{address}/{prefix}",
        str(net.network_address),
        str(net.broadcast_address),
        str(net.netmask),
        net.num_addresses,
        str(other),
        net.overlaps(other),
        str(near),
        near in net,
    ])
here = os.path.dirname(os.path.abspath(__file__))
with open(os.path.join(here, "ipv4-table.testing.json"), "w") as out:
    out.write("[\n" + ",\n".join(json.dumps(r) for r in rows) + "\n]\n")
