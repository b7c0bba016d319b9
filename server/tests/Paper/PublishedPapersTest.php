<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Paper;

use ChalkLadder\Server\Paper\PublishedPaper;
use ChalkLadder\Server\Paper\PublishedPapers;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Cache\Adapter\ArrayAdapter;

/** What a worker that stays keeps of published papers from one request to the next. */
final class PublishedPapersTest extends TestCase
{
    private const VARIED = [
        'version' => 1, 'type' => 'number', 'title' => 'One more', 'prompt' => '<p>{h} and one more?</p>', 'points' => '1', 'skill' => null,
        'hint' => '', 'explanation' => '', 'variables' => [['name' => 'h', 'choices' => ['4', '5', '6']]],
        'rule' => ['targets' => [['value' => '= h + 1', 'credit' => '1']], 'unit' => '', 'unitUse' => 'none'],
    ];

    public function testTheLastAreKeptAndNoMore(): void
    {
        $memory = new ArrayAdapter(storeSerialized: true);
        $papers = new PublishedPapers(static fn () => self::fail('All are in the memory of the machine.'), $memory);
        foreach (range(1, 9) as $n) {
            $memory->get("edition-$n-1", static fn (): PublishedPaper => new PublishedPaper((string) $n, 'paper', $n, [], [], []));
        }
        $used = [];
        foreach ([1, 2, 3, 4, 5, 6, 7, 8, 9, 1] as $n) {
            $paper = $papers->load((string) $n, 1);
            self::assertSame((string) $n, $paper->id);
            self::assertSame($used[$n] ??= $paper, $paper, 'within a request all are kept');
        }
        $papers->reset();
        self::assertSame($used[1], $papers->load('1', 1), 'used again at the end');
        self::assertSame($used[9], $papers->load('9', 1));
        self::assertSame($used[3], $papers->load('3', 1));
        self::assertNotSame($used[2], $papers->load('2', 1), 'the one that was used longest ago');
    }

    public function testWhatWasDrawnForStudentsIsNot(): void
    {
        $papers = new PublishedPapers(static fn () => self::fail('It is in the memory of the machine.'), $memory = new ArrayAdapter());
        $memory->get('edition-1-1', static fn (): PublishedPaper => new PublishedPaper('1', 'paper', 1, [], ['e' => self::VARIED], []));
        $own = $papers->load('1', 1)->own('e', 'a seed');
        self::assertNotNull($own);
        self::assertSame($own, $papers->load('1', 1)->own('e', 'a seed'));
        $papers->reset();
        self::assertNotSame($own, $papers->load('1', 1)->own('e', 'a seed'));
        self::assertEquals($own->numbers, $papers->load('1', 1)->own('e', 'a seed')?->numbers, 'the same numbers, drawn anew');
    }
}
