<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Paper;

use ChalkLadder\Core\Paper\Differences;
use ChalkLadder\Core\Paper\PaperReader;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** In what two states of a paper differ. */
final class DifferencesTest extends TestCase
{
    private const PAPER = [
        'version' => 1, 'title' => 'Tides', 'mastery' => null,
        'sections' => [
            ['id' => 'a', 'title' => 'First', 'route' => null, 'entries' => [
                ['id' => 'src', 'kind' => 'source', 'source' => ['title' => 'Table', 'html' => '<p>1</p>', 'picture' => null, 'alt' => '']],
                ['id' => 'q1', 'kind' => 'question', 'item' => 'i1', 'points' => '1'],
                ['id' => 'q2', 'kind' => 'question', 'item' => 'i2', 'points' => '1'],
            ]],
            ['id' => 'b', 'title' => 'Second', 'route' => null, 'entries' => [
                ['id' => 'q3', 'kind' => 'question', 'item' => 'i3', 'points' => '2'],
            ]],
        ],
    ];

    /** @return iterable<string, array{list<array{list<int|string>, mixed}>, list<string>}> */
    public static function changes(): iterable
    {
        $q = static fn (string $id): array => ['id' => $id, 'kind' => 'question', 'item' => 'i9', 'points' => '1'];
        yield 'nothing' => [[], []];
        yield 'its name' => [[[['title'], 'Heights']], ['|It was called “Tides”.']];
        yield 'the name of a section' => [[[['sections', 0, 'title'], 'One']], ['a|Section “One” was called “First”.']];
        yield 'a section more' => [
            [[['sections', 2], ['id' => 'c', 'title' => 'Third', 'route' => null, 'entries' => [$q('q9')]]]],
            ['c|Section “Third” is new.', 'q9|“Nine” is new in “Third”.'],
        ];
        yield 'a section less' => [
            [[['sections'], array_slice(self::PAPER['sections'], 0, 1)]],
            ['|Section “Second” is gone.', '|“Three” is gone from “Second”.'],
        ];
        yield 'the order of sections' => [[[['sections'], array_reverse(self::PAPER['sections'])]], ['|The sections stand in another order.']];
        yield 'the order of questions' => [
            [[['sections', 0, 'entries'], array_reverse(self::PAPER['sections'][0]['entries'])]],
            ['a|“First” stands in another order.'],
        ];
        yield 'a question elsewhere' => [
            [
                [['sections', 0, 'entries'], array_slice(self::PAPER['sections'][0]['entries'], 0, 2)],
                [['sections', 1, 'entries', 1], self::PAPER['sections'][0]['entries'][2]],
            ],
            ['q2|“Two” came from “First” to “Second”.'],
        ];
        yield 'its worth, another question, a pin' => [
            [
                [['sections', 0, 'entries', 1, 'points'], '3/2'],
                [['sections', 0, 'entries', 2, 'item'], 'i9'],
                [['sections', 1, 'entries', 0, 'pinned'], true],
            ],
            ['q1|“One” is worth 1.5; it was 1.', 'q2|“Two” stands in the place of another question.', 'q3|“Three” is pinned.'],
        ];
        yield 'a source' => [[[['sections', 0, 'entries', 0, 'source', 'html'], '<p>2</p>']], ['src|Source “Table” says or shows something else.']];
        yield 'what is told, and where a question looks' => [
            [
                [['sections', 0, 'instructions'], '<p>No calculator.</p>'],
                [['sections', 0, 'entries', 1, 'looksAt'], ['source' => 'src', 'moment' => 3]],
            ],
            ['a|“First” tells students something else before its questions.', 'q1|“One” looks somewhere else.'],
        ];
        yield 'ways and draws' => [
            [
                [['sections', 0, 'route'], ['exits' => [['when' => 'share < 1', 'to' => 'b']], 'else' => 'end']],
                [['sections', 0, 'drawing'], ['count' => 1, 'by' => 'skill']],
            ],
            [
                'a|“First”: each student gets 1, spread over their skills; it was all its questions.',
                'a|The ways on after “First” are others.',
            ],
        ];
        yield 'mastery' => [
            [[['mastery'], ['returns' => 1, 'credits' => ['1', '1/2']]]],
            ['|The mastery rule is: A missed question comes back until it is right, at most once; a right answer earns 1, 1/2 of its marks by try. It was: none'],
        ];
    }

    /**
     * @param list<array{list<int|string>, mixed}> $changes where, and what stands there now
     * @param list<string>                         $says
     */
    #[DataProvider('changes')]
    public function testEachIsSaidWhereItIs(array $changes, array $says): void
    {
        $now = self::PAPER;
        foreach ($changes as [$path, $value]) {
            $now = self::with($now, $path, $value);
        }
        self::assertSame($says, self::between(self::PAPER, $now));
    }

    public function testWhatAQuestionSaysNowIsTold(): void
    {
        self::assertSame(
            ['q2|“Two”: another wording, answers.'],
            self::between(self::PAPER, self::PAPER, static fn (string $e): array => $e === 'q2' ? ['wording', 'answers'] : []),
        );
    }

    /**
     * @param array<array-key, mixed> $document
     * @param list<int|string>        $path
     *
     * @return array<array-key, mixed>
     */
    private static function with(array $document, array $path, mixed $value): array
    {
        $key = array_shift($path) ?? '';
        $inner = is_array($document[$key] ?? null) ? $document[$key] : [];
        $document[$key] = $path === [] ? $value : self::with($inner, $path, $value);

        return $document;
    }

    /**
     * @param array<array-key, mixed>                    $then
     * @param array<array-key, mixed>                    $now
     * @param (\Closure(string): list<string>)|null $parts
     *
     * @return list<string>
     */
    private static function between(array $then, array $now, ?\Closure $parts = null): array
    {
        return array_map(static fn ($d): string => $d->where.'|'.$d->says, Differences::between(
            PaperReader::read($then),
            PaperReader::read($now),
            ['q1' => 'One', 'q2' => 'Two', 'q3' => 'Three', 'q9' => 'Nine'],
            $parts ?? static fn (): array => [],
        ));
    }
}
