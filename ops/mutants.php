<?php

declare(strict_types=1);

/*
 * Changes one place of core/src or server/src at a time and runs the tests over it: first those of the same room with the whole
 * picture, then all of its layer. Two copies work side by side. Called by bin/mutants.
 */

[, $state, $count, $seed] = $argv;
const LIMIT_SECONDS = 240;

/** @return list<array{file: string, line: int, at: int, from: string, to: string}> places that can be changed, at: byte offset */
function places(string $root): array
{
    $places = [];
    foreach (['core/src', 'server/src'] as $dir) {
        foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator("$root/$dir", FilesystemIterator::SKIP_DOTS)) as $file) {
            if ($file instanceof SplFileInfo && $file->getExtension() === 'php') {
                $path = substr($file->getPathname(), strlen($root) + 1);
                foreach (inFile((string) file_get_contents($file->getPathname())) as $place) {
                    $places[] = ['file' => $path] + $place;
                }
            }
        }
    }
    usort($places, static fn (array $a, array $b): int => [$a['file'], $a['at']] <=> [$b['file'], $b['at']]);

    return $places;
}

/** @return list<array{line: int, at: int, from: string, to: string}> */
function inFile(string $code): array
{
    $swaps = [
        '===' => '!==',
        '!==' => '===',
        '<' => '<=',
        '<=' => '<',
        '>' => '>=',
        '>=' => '>',
        '&&' => '||',
        '||' => '&&',
        'true' => 'false',
        'false' => 'true',
        '!' => '',
    ];
    $found = [];
    $before = null;
    $attribute = 0;
    foreach (PhpToken::tokenize($code) as $token) {
        if ($token->isIgnorable()) {
            continue;
        }
        // What stands in attributes is for others to test; strict_types is not.
        $attribute += match (true) {
            $token->is(T_ATTRIBUTE) => 1,
            $attribute > 0 && $token->text === '[' => 1,
            $attribute > 0 && $token->text === ']' => -1,
            default => 0,
        };
        $to = match (true) {
            $attribute > 0 || $token->is([T_CONSTANT_ENCAPSED_STRING, T_ENCAPSED_AND_WHITESPACE]) => null,
            $token->is(T_LNUMBER) && $before?->text !== '=' => (string) ((int) $token->text + 1),
            in_array($token->text, ['+', '-'], true)
                && $before !== null
                && ($before->is([T_VARIABLE, T_LNUMBER, T_STRING]) || in_array($before->text, [')', ']'], true)) => $token->text === '+'
                ? '-'
                : '+',
            default => $swaps[$token->text] ?? null,
        };
        if ($to !== null) {
            $found[] = ['line' => $token->line, 'at' => $token->pos, 'from' => $token->text, 'to' => $to];
        }
        $before = $token;
    }
    // A whole act left out: a statement in one line that calls something and keeps nothing.
    preg_match_all('/^ +(\$[\w>-]+\(.*\);)$/m', $code, $calls, PREG_OFFSET_CAPTURE);
    foreach ($calls[1] as [$text, $at]) {
        $found[] = ['line' => substr_count($code, "\n", 0, $at) + 1, 'at' => $at, 'from' => $text, 'to' => ''];
    }

    return $found;
}

/** @return resource|null the tests over a changed copy */
function run(string $copy, string $file, bool $all, int $worker): mixed
{
    [$layer, , $room] = explode('/', $file) + ['', '', ''];
    $picture = $layer === 'core' ? 'core/tests/WholePictureTest.php' : 'server/tests/Platform/WholePictureTest.php';
    $tests = $all || !is_dir("$copy/$layer/tests/$room") ? ["$layer/tests"] : ["$layer/tests/$room", $picture];
    // By the shell's own environment: what is empty is to reach the tests as well.
    putenv('CHALK_DATABASE='.getenv("CHALK_DATABASE$worker"));
    putenv("CHALK_STATE=$copy/var");
    $extra = $layer === 'core' ? ['--no-extensions'] : [];

    return proc_open(
        [
            'timeout',
            (string) LIMIT_SECONDS,
            PHP_BINARY,
            '-d',
            'apc.enable_cli=1',
            "$copy/vendor/bin/phpunit",
            '--stop-on-defect',
            '--no-progress',
            ...$extra,
            ...$tests,
        ],
        [0 => ['file', '/dev/null', 'r'], 1 => ['file', "$copy/var/tests.log", 'w'], 2 => ['file', "$copy/var/tests.log", 'w']],
        $pipes,
        $copy,
    ) ?: null;
}

// Tests that fail by themselves would notice everything.
foreach ([1 => 'core/x/', 2 => 'server/x/'] as $worker => $layer) {
    $process = run("$state/$worker", $layer, true, $worker);
    if ($process === null || proc_close($process) !== 0) {
        fwrite(STDERR, "The tests fail without any change; see $state/$worker/var/tests.log.\n");
        exit(1);
    }
}

$places = places(dirname(__DIR__));
$random = new Random\Randomizer(new Random\Engine\Xoshiro256StarStar((int) $seed));
$drawn = array_map(static fn (int $i): array => $places[$i], $random->pickArrayKeys($places, min((int) $count, count($places))));
$drawn = $random->shuffleArray($drawn);
$report = fopen("$state/report.txt", 'w') ?: exit(1);
printf("%d of %d places\n", count($drawn), count($places));

/** @var array<int, array{process: resource, place: array<string, mixed>, all: bool}> $busy by worker */
$busy = [];
$killed = $survived = 0;
while ($drawn !== [] || $busy !== []) {
    foreach ([1, 2] as $worker) {
        $copy = "$state/$worker";
        if (isset($busy[$worker])) {
            $status = proc_get_status($busy[$worker]['process']);
            if ($status['running']) {
                continue;
            }
            ['place' => $place, 'all' => $all] = $busy[$worker];
            unset($busy[$worker]);
            if ($status['exitcode'] === 0 && !$all && ($process = run($copy, $place['file'], true, $worker)) !== null) {
                $busy[$worker] = ['process' => $process, 'place' => $place, 'all' => true];
                continue;
            }
            $noticed = $status['exitcode'] !== 0;
            $noticed ? ++$killed : ++$survived;
            file_put_contents("$copy/{$place['file']}", $place['code']);
            fprintf(
                $report,
                "%s  %s:%d  %s → %s\n",
                $noticed ? 'noticed' : 'MISSED ',
                $place['file'],
                $place['line'],
                $place['from'],
                $place['to'] === '' ? 'nothing' : $place['to'],
            );
            printf("\r%d noticed, %d missed ", $killed, $survived);
        }
        if ($drawn !== []) {
            $place = array_shift($drawn);
            $code = (string) file_get_contents("$copy/{$place['file']}");
            file_put_contents("$copy/{$place['file']}", substr_replace($code, $place['to'], $place['at'], strlen($place['from'])));
            $place['code'] = $code;
            $process = run($copy, $place['file'], false, $worker);
            if ($process !== null) {
                $busy[$worker] = ['process' => $process, 'place' => $place, 'all' => false];
            }
        }
    }
    usleep(50_000);
}
printf("\n%.0f %% of %d changes noticed.\n", 100 * $killed / max(1, $killed + $survived), $killed + $survived);
