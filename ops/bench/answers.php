<?php

declare(strict_types=1);

use ChalkLadder\Core\Formula\FormulaError;
use ChalkLadder\Core\Formula\Parser;
use ChalkLadder\Core\Item\ItemReader;
use ChalkLadder\Core\Item\ResponseReader;

/*
 * Responses checked per second for each type, on one core; prints lines as run.mjs does. Questions and responses are
 * those of the core's own table (core/tests/Item).
 */

require dirname(__DIR__, 2).'/vendor/autoload.php';

$root = dirname(__DIR__, 2).'/core/tests/Item';
$rules = json_decode((string) file_get_contents("$root/rules.json"), true);
$responses = [];
foreach (file("$root/responses.tsv", FILE_IGNORE_NEW_LINES) as $line) {
    if ($line !== '' && $line[0] !== '#') {
        [$rule, $text] = explode("\t", $line);
        if (isset($rules[$rule])) {
            $responses[$rules[$rule]['type']][] = [
                $rule,
                ResponseReader::fromArray(match (true) {
                    str_starts_with($text, '{') => json_decode($text, true),
                    preg_match('/^\[(.*)\]$/', $text, $m) === 1 => ['options' => array_values(array_filter(explode(',', $m[1])))],
                    default => ['text' => $text],
                }),
            ];
        }
    }
}
$items = array_map(
    static fn (array $document): mixed => ItemReader::read($document + ['version' => 1, 'prompt' => '', 'points' => '1']),
    $rules,
);
$aims = ['choice' => 20_000, 'number' => 10_000, 'text' => 10_000, 'expression' => 1000];
foreach ($responses as $type => $given) {
    // The best of three stretches: what a host takes away in one of them is not the checker's doing.
    $rate = 0.0;
    for ($stretch = 0; $stretch < 3; ++$stretch) {
        $done = 0;
        $began = hrtime(true);
        $until = $began + 700_000_000;
        do {
            foreach ($given as [$rule, $response]) {
                $items[$rule]->check($response);
                ++$done;
            }
        } while (hrtime(true) < $until);
        $rate = max($rate, $done / ((hrtime(true) - $began) / 1e9));
    }
    $aim = $aims[$type] ?? null;
    echo json_encode(
        [
            'name' => "responses checked, $type",
            'value' => number_format($rate, 0, '.', ' ').' a second',
            'aim' => $aim === null ? 'none set' : '≥ '.number_format($aim, 0, '.', ' '),
            'met' => $aim === null ? null : $rate >= $aim,
            'how' => sprintf('one core, %d different responses in turn; the best of 3 stretches', count($given)),
        ],
        JSON_UNESCAPED_UNICODE,
    ), "\n";
}
$hostile = [
    str_repeat('(', 5000),
    str_repeat('-', 9000).'1',
    '9^9^9^9',
    str_repeat('(9^99)*', 200).'1',
    str_repeat('1+', 4999).'1',
    implode('*', array_fill(0, 900, '(1/3+1/7)')),
    str_repeat('√', 4000).'2',
    str_repeat('x', 9999),
    implode('+', array_map(static fn (int $i): string => "1/$i", range(2, 330))),
    str_repeat('(x+1)^9*', 40).'1',
];
$worst = 0.0;
foreach ($hostile as $text) {
    $best = INF;
    for ($i = 0; $i < 3; ++$i) {
        $began = hrtime(true);
        try {
            $tree = Parser::read($text);
            ChalkLadder\Core\Formula\Equality::of($tree, Parser::read('x + 1'));
            ChalkLadder\Core\Formula\Evaluator::value($tree, [], new ChalkLadder\Core\Item\Texts());
        } catch (FormulaError) {
        }
        $best = min($best, (hrtime(true) - $began) / 1e6);
    }
    $worst = max($worst, $best);
}
echo json_encode(
    [
        'name' => 'the slowest of the hostile formulas',
        'value' => sprintf('%.0f ms', $worst),
        'aim' => '≤ 50 ms',
        'met' => $worst <= 50.0,
        'how' => 'read, compared and worked out; the best of 3 for each of '.count($hostile),
    ],
    JSON_UNESCAPED_UNICODE,
), "\n";
