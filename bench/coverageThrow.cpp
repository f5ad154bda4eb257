// The coverage of bench/lanes.ts in C++: cells marked that lie on the lawn, every cell's length of every lane
// parted across the profile and between the nine cells around, and what landed on the lawn and beside it summed.
// On the standard input: columns, rows, cell, origin; how far left the throw begins, its step and its shares; the
// amount a metre throws; the rings of the lawn, then the lanes, each as its corners. Out come what was thrown, what
// landed on the lawn, the sum and the sum of squares of the cells, and the seconds it took.
#include <algorithm>
#include <chrono>
#include <cmath>
#include <cstdio>
#include <vector>

struct Line {
  std::vector<double> x, y;
};

static bool read(std::vector<Line> &lines) {
  for (Line &line : lines) {
    int corners = 0;
    if (std::scanf("%d", &corners) != 1) return false;
    for (int i = 0; i < corners; i++) {
      double x = 0, y = 0;
      if (std::scanf("%lf %lf", &x, &y) != 2) return false;
      line.x.push_back(x);
      line.y.push_back(y);
    }
  }
  return true;
}

int main() {
  int columns = 0, rows = 0, across = 0, rings = 0, lanes = 0;
  double cell = 0, ox = 0, oy = 0, first = 0, step = 0, perMetre = 0;
  if (std::scanf("%d %d %lf %lf %lf %d %lf %lf %lf %d %d", &columns, &rows, &cell, &ox, &oy, &across, &first,
                 &step, &perMetre, &rings, &lanes) != 11)
    return 1;
  std::vector<double> shares(across);
  for (double &share : shares)
    if (std::scanf("%lf", &share) != 1) return 1;
  std::vector<Line> outlines(rings), all(lanes);
  if (!read(outlines) || !read(all)) return 1;
  const auto begun = std::chrono::steady_clock::now();
  std::vector<double> amounts(static_cast<size_t>(columns) * rows, 0.0);
  std::vector<unsigned char> lawn(amounts.size(), 0);
  std::vector<std::vector<double>> crossings(rows);
  for (const Line &ring : outlines)
    for (size_t i = 0; i < ring.x.size(); i++) {
      const size_t next = (i + 1) % ring.x.size();
      const double ax = ring.x[i], ay = ring.y[i], bx = ring.x[next], by = ring.y[next];
      if (ay == by) continue;
      const double low = std::fmin(ay, by), high = std::fmax(ay, by);
      for (int row = std::max(0, static_cast<int>(std::ceil((low - oy) / cell - 0.5))); row < rows; row++) {
        const double y = oy + (row + 0.5) * cell;
        if (y >= high) break;
        crossings[row].push_back(ax + (y - ay) * (bx - ax) / (by - ay));
      }
    }
  for (int row = 0; row < rows; row++) {
    std::vector<double> &crossed = crossings[row];
    std::sort(crossed.begin(), crossed.end());
    for (size_t i = 0; i + 1 < crossed.size(); i += 2) {
      const int from = std::max(0, static_cast<int>(std::ceil((crossed[i] - ox) / cell - 0.5)));
      const int to = std::min(columns, static_cast<int>(std::ceil((crossed[i + 1] - ox) / cell - 0.5)));
      if (to > from) std::fill_n(lawn.begin() + static_cast<size_t>(row) * columns + from, to - from, 1);
    }
  }
  double thrown = 0;
  for (const Line &lane : all) {
    std::vector<double> from, east, north, x, y;
    double length = 0;
    for (size_t i = 0; i + 1 < lane.x.size(); i++) {
      const double dx = lane.x[i + 1] - lane.x[i], dy = lane.y[i + 1] - lane.y[i];
      const double leg = std::hypot(dx, dy);
      if (leg == 0) continue;
      from.push_back(length);
      x.push_back(lane.x[i]);
      y.push_back(lane.y[i]);
      east.push_back(dx / leg);
      north.push_back(dy / leg);
      length += leg;
    }
    if (!(length > 0)) continue;
    const int count = std::fmax(1, std::ceil(length / cell));
    const double pace = length / count;
    size_t leg = 0;
    for (int i = 0; i < count; i++) {
      const double along = (i + 0.5) * pace;
      while (leg + 1 < from.size() && from[leg + 1] <= along) leg++;
      const double amount = perMetre * pace;
      double column = (x[leg] + east[leg] * (along - from[leg]) + north[leg] * first - ox) / cell;
      double row = (y[leg] + north[leg] * (along - from[leg]) - east[leg] * first - oy) / cell;
      const double right = north[leg] * step / cell, up = -east[leg] * step / cell;
      for (int k = 0; k < across; k++) {
        const double share = amount * shares[k];
        const int middle = static_cast<int>(column), level = static_cast<int>(row);
        const double e = column - middle, n = row - level;
        const double w2 = 0.5 * e * e, w0 = 0.5 - e + w2, w1 = 1 - w0 - w2;
        const double s2 = 0.5 * share * n * n, s0 = share * (0.5 - n) + s2, s1 = share - s0 - s2;
        double *at = &amounts[static_cast<size_t>(level) * columns + middle];
        at[-columns - 1] += s0 * w0;
        at[-columns] += s0 * w1;
        at[-columns + 1] += s0 * w2;
        at[-1] += s1 * w0;
        at[0] += s1 * w1;
        at[1] += s1 * w2;
        at[columns - 1] += s2 * w0;
        at[columns] += s2 * w1;
        at[columns + 1] += s2 * w2;
        column += right;
        row += up;
      }
      thrown += amount;
    }
  }
  double onLawn = 0, offLawn = 0;
  for (size_t i = 0; i < amounts.size(); i++) (lawn[i] ? onLawn : offLawn) += amounts[i];
  const double seconds = std::chrono::duration<double>(std::chrono::steady_clock::now() - begun).count();
  double sum = 0, squares = 0;
  for (const double amount : amounts) {
    sum += amount;
    squares += amount * amount;
  }
  std::printf("%.12g %.12g %.12g %.12g %.12g %.6f\n", thrown, onLawn, offLawn, sum, squares, seconds);
  return 0;
}
