<?php

declare(strict_types=1);



use ChalkLadder\Core\Analysis\Model\Binary;
use ChalkLadder\Core\Analysis\Model\Rasch;
use ChalkLadder\Core\Analysis\Model\TwoParameter;
use ChalkLadder\Core\Grouping\Former;
use ChalkLadder\Core\Grouping\Plan;
use ChalkLadder\Core\Grouping\Student;
use ChalkLadder\Core\PairReading\BradleyTerry;

/*
 * The statistics on made-up tables; prints lines as run.mjs does. The item statistics are timed as the console runs them,
 * reading and printing included, each in a process of its own so that its memory is its own too.
 */


$root = dirname(__DIR__, 2);
require "$root/vendor/autoload.php";

$line = static function (string $name, float $value, float $most, string $how, string $unit = 's'): void {
    $shown = $unit === 's' && $most > 0 && $most <= 0.2 ? sprintf('%.0f ms', 1000 * $value) : sprintf(
        $unit === 's' ? '%.2f s' : '%.0f MB',
        $value,
    );
    $aim = $unit === 's' && $most <= 0.2 ? sprintf('≤ %.0f ms', 1000 * $most) : sprintf($unit === 's' ? '≤ %g s' : '≤ %g MB', $most);
    echo json_encode(
        [
            'name' => $name,
            'value' => $shown,
            'aim' => $most > 0 ? $aim : 'none set',
            'met' => $most > 0 ? $value <= $most : null,
            'how' => $how,
        ],
        JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE,
    ), "\n";
};
$best = static function (int $times, Closure $act): float {
    $seconds = [];
    for ($i = 0; $i < $times; ++$i) {
        $began = hrtime(true);
        $act();
        $seconds[] = (hrtime(true) - $began) / 1e9;
    }
    sort($seconds);

    return $seconds[intdiv($times, 2)];
};
mt_srand(20_261_125);
$uniform = static fn (): float => mt_rand() / mt_getrandmax();
$normal = static fn (): float => sqrt(-2 * log(1 - 0.999_999 * $uniform())) * cos(2 * M_PI * $uniform());
$answers = static function (int $students, int $questions, bool $slopes) use ($uniform, $normal): Binary {
    $difficulty = $slope = [];
    for ($q = 0; $q < $questions; ++$q) {
        $difficulty[] = -2 + 4 * $q / ($questions - 1);
        $slope[] = $slopes ? 0.6 + 1.2 * $uniform() : 1.0;
    }
    $rows = [];
    for ($s = 0; $s < $students; ++$s) {
        $ability = $normal();
        $rows[] = array_map(
            static fn (float $d, float $a): int => $uniform() < 1 / (1 + exp($a * ($d - $ability))) ? 1 : 0,
            $difficulty,
            $slope,
        );
    }

    return new Binary(array_map(static fn (int $q): string => "q$q", array_keys($difficulty)), $rows);
};

// Options A to D, two in a hundred left blank.
$folder = sys_get_temp_dir().'/chalk-measure-'.getmypid();
mkdir($folder);
$table = static function (int $students) use ($folder, $uniform, $normal): void {
    $file = fopen("$folder/$students.csv", 'w');
    fwrite($file, 'student,'.implode(',', array_map(static fn (int $q): string => "q$q", range(1, 60)))."\n");
    for ($s = 0; $s < $students; ++$s) {
        $ability = $normal();
        $cells = ["s$s"];
        for ($q = 0; $q < 60; ++$q) {
            $cells[] = $uniform() < 0.02 ? '' : ($uniform() < 1 / (1 + exp(-2 + $q / 15 - $ability)) ? 'A' : 'BCD'[mt_rand(0, 2)]);
        }
        fwrite($file, implode(',', $cells)."\n");
    }
    fclose($file);
};
file_put_contents(
    "$folder/key.csv",
    "question,key,points\n".implode('', array_map(static fn (int $q): string => "q$q,A,1\n", range(1, 60))),
);
$memory = 0.0;
$console = static function (int $students) use ($folder, $root, &$memory): void {
    $code = sprintf(
        'require %s; $c = new ChalkLadder\Server\Results\Console\MeasureItemsCommand(); ob_start(); $c->run(new Symfony\Component\Console\Input\ArrayInput(["responses" => %s, "--key" => %s]), new Symfony\Component\Console\Output\StreamOutput(fopen("php://memory", "w"))); fwrite(STDERR, (string) memory_get_peak_usage(true));',
        var_export("$root/vendor/autoload.php", true),
        var_export("$folder/$students.csv", true),
        var_export("$folder/key.csv", true),
    );
    $process = proc_open([PHP_BINARY, '-d', 'memory_limit=2G', '-r', $code], [2 => ['pipe', 'w']], $pipes);
    $memory = (float) stream_get_contents($pipes[2]) / 2 ** 20;
    proc_close($process);
};
$table(10_000);
$small = $best(3, static fn () => $console(10_000));
$line(
    'measure:items, 10 000 students × 60 questions with options',
    $small,
    3,
    'reading, all figures, and printing, in a process of its own; median of 3',
);
$line('its memory', $memory, 512, 'peak of that process', 'MB');
$table(100_000);
$large = $best(1, static fn () => $console(100_000));
$line(
    'the same, 100 000 students',
    $large,
    0,
    sprintf('%.1f times as long for 10 times the students; peak %.0f MB', $large / $small, $memory),
);
array_map(unlink(...), glob("$folder/*"));
rmdir($folder);

$data = $answers(1000, 60, false);
$line(
    'Rasch model, 1000 × 60',
    $best(3, static fn () => Rasch::of($data)),
    1,
    'conditional maximum likelihood with errors and fit; median of 3',
);
$data = $answers(1000, 40, true);
$line(
    'two-parameter model, 1000 × 40',
    $best(3, static fn () => TwoParameter::of($data)),
    3,
    'marginal maximum likelihood with errors and abilities; median of 3',
);
$results = [];
$strength = array_map(static fn (): float => $normal(), range(1, 200));
while (count($results) < 5000) {
    [$i, $j] = [mt_rand(0, 199), mt_rand(0, 199)];
    if ($i !== $j) {
        $results[] = $uniform() < 1 / (1 + exp($strength[$j] - $strength[$i])) ? ["o$i", "o$j"] : ["o$j", "o$i"];
    }
}
$line('pair reads, 200 objects × 5000', $best(3, static fn () => BradleyTerry::of($results)), 1, 'abilities with errors; median of 3');
foreach ([[30, 6, 0.1], [300, 30, 2.0]] as [$n, $groups, $most]) {
    $students = array_map(
        static fn (int $i): Student => new Student("s$i", $uniform(), [], "S$i", ['class' => 'c'.$i % 3]),
        range(0, $n - 1),
    );
    $apart = [];
    for ($i = 0; $i < $n / 5; ++$i) {
        $apart[] = ["s$i", 's'.($n - 1 - $i)];
    }
    $plan = new Plan($groups, Plan::MIXED, intdiv($n, $groups), intdiv($n, $groups), $apart, [['s1', 's2']], ['class']);
    $line(
        "groups, $n students",
        $best(3, static fn () => Former::form($students, $plan)),
        $most,
        "$groups mixed groups of equal size, pairs apart, two together, classes spread; median of 3",
    );
}
