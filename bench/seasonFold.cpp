// The fold of bench/season.ts in C++: soil behind the air, its give, five-day means, a crossing of a barrier
// and heat units, for every area. Days come as "least most" on the standard input, the number of areas as the
// first argument; out come the sums the other side comes to, and the seconds it took.
#include <chrono>
#include <cmath>
#include <cstdio>
#include <cstdlib>
#include <vector>

int main(int argc, char **argv) {
  const int areas = argc > 1 ? std::atoi(argv[1]) : 10000;
  const int probeAt = argc > 2 ? std::atoi(argv[2]) : 369;
  const int today = argc > 3 ? std::atoi(argv[3]) : 384;
  const int heatFrom = argc > 4 ? std::atoi(argv[4]) : 365;
  const int warmingFrom = argc > 5 ? std::atoi(argv[5]) : 275;
  std::vector<double> least, most;
  double low = 0, high = 0;
  while (std::scanf("%lf %lf", &low, &high) == 2) {
    least.push_back(low);
    most.push_back(high);
  }
  const int days = static_cast<int>(least.size());
  const auto begun = std::chrono::steady_clock::now();
  const double constant = 6, share = 1 - std::exp(-1 / constant), fade = std::exp(-1 / constant);
  double soilSum = 0, giveSum = 0, heatSum = 0;
  long opened = 0;
  std::vector<double> soil(days), give(days), means(days);
  for (int area = 0; area < areas; area++) {
    double last = 0;
    for (int i = 0; i < days; i++) {
      const double air = (least[i] + most[i]) / 2;
      last = i == 0 ? air : last + share * (air - last);
      soil[i] = last;
    }
    const double probe = 6 + (area % 50) / 10.0;
    const double offset = probe - soil[probeAt];
    // One reading: four readings' worth of what is usual, no freedom of its own.
    const double spread = std::sqrt(4.0 / 4.0);
    const double doubt = 2.5;
    const double half = std::sqrt(1 / (1 / (spread * spread) + 1 / (doubt * doubt)));
    double start = 4;
    for (int i = 0; i < days; i++) {
      start *= fade;
      soil[i] += offset;
      give[i] = 2 * std::sqrt(spread * spread + half * half + start * start);
    }
    for (int i = 4; i < days; i++)
      means[i] = (soil[i] + soil[i - 1] + soil[i - 2] + soil[i - 3] + soil[i - 4]) / 5;
    int run = 0;
    for (int i = warmingFrom; i < days; i++) {
      run = means[i] >= 10 - 1e-9 ? run + 1 : 0;
      if (run == 3) {
        opened += i - 2;
        break;
      }
    }
    double heat = 0;
    for (int i = heatFrom + 1; i <= today; i++) heat += std::fmax(0, (least[i] + most[i]) / 2);
    soilSum += soil[today];
    giveSum += give[today];
    heatSum += heat;
  }
  const double seconds =
      std::chrono::duration<double>(std::chrono::steady_clock::now() - begun).count();
  std::printf("%.9f %.9f %.9f %ld %.6f\n", soilSum, giveSum, heatSum, opened, seconds);
  return 0;
}
