/* Prints, as JSON, where a C compiler puts the members of these structures under natural alignment.
   gcc -o offsetof offsetof.c && ./offsetof > offsetof.json */
#include <stddef.h>
#include <stdint.h>
#include <stdio.h>

#define OFFSET(type, member) printf("\"%s\": %zu", #member, offsetof(struct type, member))
#define NEXT printf(", ")
#define BEGIN(type) printf("  \"%s\": { \"size\": %zu, \"offsets\": { ", #type, sizeof(struct type))
#define END printf(" } }")

struct mixed { uint8_t a; int16_t b; int32_t c; uint8_t d; double e; float f; };
struct shorts { int16_t a; uint8_t b; uint8_t c; uint8_t d; };
struct longs { uint8_t a; int64_t b; int16_t c; };
struct arrays { uint8_t a[3]; float b[2]; uint8_t c; int16_t d[2]; };
struct inner { uint8_t x; int32_t y; };
struct outer { uint8_t a; struct inner b; uint8_t c; struct inner d[2]; int64_t e; };

int main(void) {
  printf("{\n");
  BEGIN(mixed); OFFSET(mixed, a); NEXT; OFFSET(mixed, b); NEXT; OFFSET(mixed, c); NEXT; OFFSET(mixed, d); NEXT;
  OFFSET(mixed, e); NEXT; OFFSET(mixed, f); END; printf(",\n");
  BEGIN(shorts); OFFSET(shorts, a); NEXT; OFFSET(shorts, b); NEXT; OFFSET(shorts, c); NEXT; OFFSET(shorts, d); END;
  printf(",\n");
  BEGIN(longs); OFFSET(longs, a); NEXT; OFFSET(longs, b); NEXT; OFFSET(longs, c); END; printf(",\n");
  BEGIN(arrays); OFFSET(arrays, a); NEXT; OFFSET(arrays, b); NEXT; OFFSET(arrays, c); NEXT; OFFSET(arrays, d); END;
  printf(",\n");
  BEGIN(outer); OFFSET(outer, a); NEXT; OFFSET(outer, b.x); NEXT; OFFSET(outer, b.y); NEXT; OFFSET(outer, c); NEXT;
  OFFSET(outer, d[0].x); NEXT; OFFSET(outer, d[0].y); NEXT; OFFSET(outer, d[1].x); NEXT; OFFSET(outer, d[1].y); NEXT;
  OFFSET(outer, e); END;
  printf("\n}\n");
  return 0;
}
