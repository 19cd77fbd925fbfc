# How the clips beside this file were made: raw frames, drawn here, through ffmpeg. Run it in this folder.
import math, subprocess, sys
W, H, FPS = 480, 270, 12
PAPER, INK, WOOD, DARK, IRON = (246,244,238), (31,45,53), (201,160,102), (150,108,58), (108,122,132)

class Frame:
    def __init__(self): self.b = bytearray(bytes(PAPER) * (W * H))
    def rect(self, x0, y0, x1, y1, c):
        x0, x1 = max(0, int(x0)), min(W, int(x1))
        if x1 <= x0: return
        row = bytes(c) * (x1 - x0)
        for y in range(max(0, int(y0)), min(H, int(y1))):
            o = (y * W + x0) * 3
            self.b[o:o + len(row)] = row

def plank(t, n):
    f = Frame()
    f.rect(0, 230, W, 232, INK)
    bend = min(1.0, max(0.0, (t - 2) / (n - 5)))
    for x in (110, 240, 370):
        depth = 70 * bend * (1 - ((x - 240) / 200) ** 2)
        f.rect(x - 9, 150 + 26 - depth, x + 9, 230, IRON)
    for x in range(40, 440):
        u = (x - 240) / 200
        y = 150 - 70 * bend * (1 - u * u) + 50 * bend * u * u * 0.6
        f.rect(x, y, x + 1, y + 22, WOOD)
        g = int(3 * math.sin(x / 17.0))
        for k in (6, 13): f.rect(x, y + k + g * 0.4, x + 1, y + k + g * 0.4 + 1, DARK)
    for i in range(7):
        p = (t * 0.5 + i / 7) % 1
        if t < n - 3:
            x = 90 + i * 50 + 6 * math.sin(t * 2 + i)
            f.rect(x, 120 - 90 * p, x + 3, 120 - 90 * p + 14 * (1 - p), (214, 209, 197))
    f.rect(20, 250, 20 + 440 * t / n, 254, (43, 76, 126))
    return f.b

def nail(t, n):
    f = Frame()
    f.rect(60, 150, 420, 190, WOOD); f.rect(60, 192, 420, 232, WOOD)
    for k in (160, 172, 204, 218): f.rect(60, k, 420, k + 1, DARK)
    blows = int(t / 2); within = (t % 2) / 2
    sunk = min(78, blows * 14)
    f.rect(236, 80 + sunk, 244, 160 + sunk, IRON); f.rect(228, 74 + sunk, 252, 82 + sunk, IRON)
    swing = math.sin(math.pi * within) * 60
    y = 74 + sunk - 36 - swing
    f.rect(205, y, 275, y + 34, INK); f.rect(275, y + 12, 420, y + 22, DARK)
    f.rect(20, 250, 20 + 440 * t / n, 254, (43, 76, 126))
    return f.b

for name, draw, n, tone in (('bending', plank, 16, 'anoisesrc=color=brown:amplitude=0.05'), ('riveting', nail, 12, "aevalsrc='0.4*sin(2*PI*900*t)*exp(-40*mod(t\\,2))'")):
    p = subprocess.Popen(['ffmpeg', '-loglevel', 'error', '-y', '-f', 'rawvideo', '-pix_fmt', 'rgb24', '-s', f'{W}x{H}', '-r', str(FPS), '-i', '-',
        '-f', 'lavfi', '-t', str(n), '-i', tone, '-shortest', '-c:v', 'libvpx', '-b:v', '120k', '-g', '24', '-c:a', 'libvorbis', '-q:a', '0', '-ac', '1', f'{name}.webm'], stdin=subprocess.PIPE)
    for i in range(n * FPS): p.stdin.write(draw(i / FPS, n))
    p.stdin.close(); p.wait()
subprocess.run(['ffmpeg', '-loglevel', 'error', '-y', '-f', 'lavfi', '-i', "aevalsrc='0.3*sin(2*PI*(180+40*sin(2*PI*0.5*t))*t)*exp(-3*mod(t\\,1))':d=8", '-c:a', 'libvorbis', '-q:a', '0', '-ac', '1', 'mallet.ogg'])

# And the picture: the strakes of a pram seen from the stern, each lapping the one below.
import struct, zlib
frame = Frame()
for side in (-1, 1):
    for strake in range(5):
        for step in range(90):
            u = strake + step / 90
            x, y = 240 + side * (14 + 150 * math.sin(u / 5 * math.pi / 2) + strake * 3), 232 - 34 * u
            frame.rect(x - 8, y, x + 8, y + 2, DARK if step < 8 else WOOD)
frame.rect(232, 150, 248, 244, DARK)
rows = b''.join(b'\0' + bytes(frame.b[y * W * 3:(y + 1) * W * 3]) for y in range(H))
chunk = lambda kind, data: struct.pack('>I', len(data)) + kind + data + struct.pack('>I', zlib.crc32(kind + data))
with open('strakes.png', 'wb') as out:
    out.write(b'\x89PNG\r\n\x1a\n' + chunk(b'IHDR', struct.pack('>IIBBBBB', W, H, 8, 2, 0, 0, 0)) + chunk(b'IDAT', zlib.compress(rows, 9)) + chunk(b'IEND', b''))
