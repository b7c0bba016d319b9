<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Item;

use ChalkLadder\Core\Document\DocumentInvalid;
use ChalkLadder\Core\Item\ItemReader;
use ChalkLadder\Core\Item\Response;
use ChalkLadder\Core\Item\ResponseReader;
use ChalkLadder\Core\Item\Said;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Every bound of a question and a response: what reaches it is read, what goes one beyond is refused at that place. */
final class BoundsTest extends TestCase
{
    private const THINGS = [['id' => 'a', 'text' => 'A'], ['id' => 'b', 'text' => 'B']];
    private const RULES = [
        'choice' => ['options' => [['id' => 'a', 'text' => 'A', 'key' => true, 'feedback' => '', 'misconception' => null]]],
        'text' => ['forms' => [['text' => 'reef', 'credit' => '1', 'feedback' => '', 'misconception' => null]]],
        'number' => ['targets' => [['value' => '1', 'tolerance' => '0', 'credit' => '1', 'feedback' => '', 'misconception' => null]]],
        'expression' => [
            'lines' => [['expression' => 'x', 'credit' => '1', 'feedback' => '']],
            'names' => ['x'], 'from' => '-6', 'to' => '6', 'formless' => '1', 'subject' => '',
        ],
        'gaps' => ['gaps' => [['id' => 'g', 'type' => 'text', 'weight' => 1, 'rule' => ['forms' => [['text' => 'x']]]]]],
        'order' => ['things' => self::THINGS, 'lines' => [['order' => ['b', 'a'], 'credit' => '0', 'feedback' => '']]],
        'match' => ['things' => self::THINGS, 'places' => self::THINGS, 'key' => [['a', 'b']],
            'lines' => [['thing' => 'a', 'place' => 'a', 'credit' => '0', 'feedback' => '']]],
        'spot' => ['mode' => 'points', 'regions' => [['id' => 'r', 'ellipse' => ['0', '0', '1', '1']]], 'asked' => 1],
        'table' => [
            'rows' => 2, 'columns' => 2,
            'cells' => [['row' => 1, 'column' => 1, 'type' => 'text', 'rule' => ['forms' => [['text' => 'x']]]]],
        ],
        'open' => ['criteria' => [
            ['name' => 'Cause', 'levels' => [['points' => '0', 'descriptor' => 'no'], ['points' => '1', 'descriptor' => 'yes']]],
        ]],
    ];

    /** @return iterable<string, array{string, string, int|string, int|string}> type, path, the last value that is read, the first that is not */
    public static function bounds(): iterable
    {
        $texts = [
            '' => ['title' => 120, 'prompt' => 20_000, 'skill' => 36, 'hint' => 20_000, 'explanation' => 20_000],
            'choice' => ['options.0.id' => 12, 'options.0.text' => 2000, 'options.0.feedback' => Said::LONGEST, 'options.0.misconception' => 36],
            'text' => ['forms.0.text' => 200, 'forms.0.feedback' => Said::LONGEST, 'forms.0.misconception' => 36],
            'number' => ['targets.0.feedback' => Said::LONGEST, 'targets.0.misconception' => 36],
            'expression' => ['lines.0.feedback' => Said::LONGEST, 'lines.0.misconception' => 36, 'subject' => 20, 'names.0' => 20],
            'gaps' => ['gaps.0.id' => 12],
            'order' => ['things.0.text' => 2000, 'lines.0.feedback' => Said::LONGEST],
            'open' => ['criteria.0.name' => 120, 'criteria.0.levels.0.descriptor' => 500, 'criteria.0.levels.0.misconception' => 36],
        ];
        foreach ($texts as $type => $paths) {
            foreach ($paths as $path => $longest) {
                yield "$type $path, a text" => [$type, $path, str_repeat('x', $longest), str_repeat('x', $longest + 1)];
            }
        }
        $numbers = [
            '' => ['points' => [['0', '-1/1000'], ['100', '100.001']]],
            'number' => [
                'targets.0.credit' => [['0', '-1/1000'], ['1', '1.001']],
                'targets.0.tolerance' => [['0', '-1/1000'], ['1000000000', '1000000001']],
                'targets.0.value' => [['-1000000000', '-1000000001'], ['1000000000', '1000000001']],
                'figures' => [[1, 0], [12, 13]], 'unitless' => [['0', '-1/9'], ['1', '1.001']],
                'formless' => [['0', '-1/9'], ['1', '1.001']],
            ],
            'text' => ['forms.0.credit' => [['0', '-1/1000'], ['1', '1.001']]],
            'choice' => ['options.0.credit' => [['0', '-1/1000'], ['1', '1.001']]],
            'expression' => [
                'from' => [['-1000', '-1001'], ['1000', '1001']], 'to' => [['-1000', '-1001'], ['1000', '1001']],
                'formless' => [['0', '-1/9'], ['1', '1.001']], 'lines.0.credit' => [['0', '-1/9'], ['1', '1.001']],
            ],
            'gaps' => ['gaps.0.weight' => [[1, 0], [100, 101]]],
            'table' => [
                'rows' => [[60, 61], [1, 0]], 'columns' => [[30, 31], [1, 0]],
                'cells.0.row' => [[1, 0], [2, 3]], 'cells.0.column' => [[1, 0], [2, 3]],
            ],
            'open' => ['criteria.0.levels.0.points' => [['0', '-1'], ['100', '100.001']]],
            'spot' => [
                'asked' => [[1, 0], [60, 61]], 'overlap' => [['0', '-1/9'], ['1', '1.001']],
                'regions.0.ellipse.0' => [['-100000', '-100001'], ['100000', '100001']],
                'regions.0.ellipse.1' => [['-100000', '-100001'], ['100000', '100001']],
                'regions.0.ellipse.2' => [['1/1000', '1/1001'], ['100000', '100001']],
                'regions.0.ellipse.3' => [['1/1000', '1/1001'], ['100000', '100001']],
            ],
        ];
        foreach ($numbers as $type => $paths) {
            foreach ($paths as $path => $edges) {
                foreach ($edges as [$last, $beyond]) {
                    yield "$type $path, $last" => [$type, $path, $last, $beyond];
                }
            }
        }
    }

    #[DataProvider('bounds')]
    public function testOneBeyondIsRefused(string $type, string $path, int|string $last, int|string $beyond): void
    {
        $full = ($type === '' ? '' : 'rule.').$path;
        self::assertNotContains($full, self::faults($type, $path, $last), 'what reaches the bound is read');
        self::assertContains($full, self::faults($type, $path, $beyond), 'what goes beyond it is not');
    }

    /** @return iterable<string, array{string, string, int}> type, path of a list, and how long it may be */
    public static function lists(): iterable
    {
        foreach ([
            ['choice', 'options', 12], ['text', 'forms', 100], ['number', 'targets', 100], ['expression', 'lines', 40],
            ['expression', 'names', 12], ['gaps', 'gaps', 60], ['order', 'things', 30], ['order', 'lines', 30], ['match', 'things', 40],
            ['match', 'places', 40], ['match', 'key', 100], ['match', 'lines', 60], ['spot', 'regions', 60], ['table', 'cells', 400],
            ['open', 'criteria', 8], ['open', 'criteria.0.levels', 10],
        ] as [$type, $path, $most]) {
            yield "$type $path" => [$type, $path, $most];
        }
    }

    #[DataProvider('lists')]
    public function testAListIsNoLongerThanItsBound(string $type, string $path, int $most): void
    {
        $list = self::at(self::RULES[$type], $path);
        self::assertIsArray($list);
        $long = static fn (int $n): array => array_map(static function (int $i) use ($list, $path): mixed {
            $one = $list[0];
            if (is_array($one) && isset($one['id'])) {
                $one['id'] = 'x'.$i;
            }

            return $path === 'names' ? 'n'.chr(97 + $i % 26) : $one;
        }, range(0, $n - 1));
        self::assertNotContains('rule.'.$path, self::faults($type, $path, $long($most)));
        self::assertContains('rule.'.$path, self::faults($type, $path, $long($most + 1)));
    }

    public function testAResponseIsBounded(): void
    {
        foreach ([
            ['text', str_repeat('x', 20_000), str_repeat('x', 20_001)],
            ['options', array_map(strval(...), range(1, 40)), array_map(strval(...), range(1, 41))],
            ['options', [str_repeat('x', 40)], [str_repeat('x', 41)]],
            ['order', array_map(strval(...), range(1, 100)), array_map(strval(...), range(1, 101))],
            ['files', array_map(strval(...), range(1, 20)), array_map(strval(...), range(1, 21))],
        ] as [$key, $last, $beyond]) {
            ResponseReader::fromArray([$key => $last]);
            try {
                ResponseReader::fromArray([$key => $beyond]);
                self::fail("A response of too many $key was read.");
            } catch (DocumentInvalid $e) {
                self::assertStringStartsWith('value.'.$key, $e->problems[0]->path);
            }
        }
    }

    /** @return list<string> the places that are at fault once this stands at the path */
    private static function faults(string $type, string $path, mixed $value): array
    {
        $known = $type === '' ? 'choice' : $type;
        $item = [
            'version' => 1, 'type' => $known, 'title' => 't', 'prompt' => 'p', 'points' => '1', 'skill' => null, 'hint' => '',
            'explanation' => '', 'rule' => self::RULES[$known],
        ];
        $keys = explode('.', ($type === '' ? '' : 'rule.').$path);
        $place = &$item;
        foreach ($keys as $key) {
            if (!is_array($place)) {
                throw new \LogicException($path);
            }
            $place = &$place[$key];
        }
        $place = $value;
        unset($place);
        try {
            ItemReader::read((array) $item);
        } catch (DocumentInvalid $e) {
            return array_map(static fn ($p): string => $p->path, $e->problems);
        }

        return [];
    }

    /** @param array<mixed> $from */
    private static function at(array $from, string $path): mixed
    {
        return array_reduce(explode('.', $path), static fn (mixed $at, string $key): mixed => is_array($at) ? $at[$key] : null, $from);
    }
}
