<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Paper;

use ChalkLadder\Core\Document\DocumentInvalid;
use ChalkLadder\Core\Item\ItemTemplate;
use ChalkLadder\Core\Paper\Paper;
use ChalkLadder\Core\Paper\PaperProof;
use ChalkLadder\Core\Paper\PaperReader;
use ChalkLadder\Core\Tests\Item\Rules;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Where in a source a question looks. */
final class AnchorTest extends TestCase
{
    private const LINES = '<ol data-lines=""><li><p>one</p></li><li><p>two</p><ul><li><p>within</p></li></ul></li></ol><p>between</p><ol data-lines=""><li><p>three</p></li></ol>'
        .'<ol><li><p>of a list, which is no line</p></li></ol>';

    /** @param array<string, mixed> $looksAt */
    #[TestWith([['from' => 1, 'to' => 3]])]
    #[TestWith([['x' => 0, 'y' => 1000]])]
    #[TestWith([['x' => 5, 'y' => 5, 'page' => 2]])]
    #[TestWith([['moment' => 42, 'until' => 50]])]
    public function testALineAPlaceOrAMomentIsKeptAndShown(array $looksAt): void
    {
        $paper = self::paper($looksAt + ['source' => 'log']);

        self::assertSame(['source' => 'log'] + $looksAt, $paper->sections[0]->looksAt('q')?->toArray());
        self::assertSame($paper->toArray(), PaperReader::read($paper->toArray())->toArray());
        self::assertSame([], self::faults($paper));
    }

    /**
     * @param array<string, mixed> $looksAt
     * @param array<string, mixed> $change  of the source
     */
    #[TestWith([['from' => 3, 'to' => 4], [], 'This question looks at line 4. “Log” has 3.'])]
    #[TestWith([['from' => 1, 'to' => 1], ['html' => '<p>No lines.</p>'], 'This question looks at line 1. “Log” has no numbered lines.'])]
    #[TestWith([['x' => 5, 'y' => 5], ['picture' => null], 'This question looks at a picture. “Log” has none.'])]
    #[TestWith([['x' => 5, 'y' => 5, 'page' => 1], ['file' => null], 'This question looks at a page. “Log” has none.'])]
    #[TestWith([['moment' => 1], ['file' => null], 'This question looks at a moment. “Log” has nothing to play.'])]
    #[TestWith([['from' => 1, 'source' => 'map'], [], 'This question looks at a source that does not stand beside it any more.'])]
    public function testWhatIsThereNoMoreIsSaidAndNotShown(array $looksAt, array $change, string $said): void
    {
        $paper = self::paper($looksAt + ['source' => 'log'], $change);

        self::assertNull($paper->sections[0]->looksAt('q'));
        self::assertSame([$said], self::faults($paper));
    }

    /** @param array<string, mixed> $looksAt */
    #[TestWith([['from' => 3, 'to' => 2]])]
    #[TestWith([['from' => 0]])]
    #[TestWith([['x' => 1001, 'y' => 0]])]
    #[TestWith([['x' => 1]])]
    #[TestWith([['x' => 1, 'y' => 1, 'page' => 0]])]
    #[TestWith([['from' => 1, 'page' => 1]])]
    #[TestWith([['from' => 1, 'moment' => 1]])]
    #[TestWith([['moment' => -1]])]
    #[TestWith([['moment' => 9, 'until' => 8]])]
    #[TestWith([[]])]
    public function testIsOneOfTheThreeWithinBounds(array $looksAt): void
    {
        $this->expectException(DocumentInvalid::class);
        self::paper($looksAt + ['source' => 'log']);
    }

    /**
     * @param array<string, mixed> $looksAt
     * @param array<string, mixed> $change  of the source
     */
    private static function paper(array $looksAt, array $change = []): Paper
    {
        $question = ['id' => 'q', 'kind' => 'question', 'item' => 'depth', 'points' => '1', 'looksAt' => $looksAt];
        $source = $change + ['title' => 'Log', 'html' => self::LINES, 'picture' => 'f1', 'alt' => '', 'file' => 'f2'];

        return PaperReader::read(['version' => 1, 'title' => 'Reading', 'sections' => [[
            'id' => 's1', 'title' => 'All', 'route' => null, 'entries' => [
                ['id' => 'map', 'kind' => 'source', 'source' => ['title' => 'Map', 'html' => self::LINES, 'picture' => 'f3', 'alt' => '']],
                ['id' => 'p', 'kind' => 'question', 'item' => 'depth', 'points' => '1'],
                ['id' => 'log', 'kind' => 'source', 'source' => $source],
                $question,
            ],
        ]]]);
    }

    /** @return list<string> what the proof says of the question's place */
    private static function faults(Paper $paper): array
    {
        $items = ['depth' => ItemTemplate::of(Rules::item('depth'))];
        $all = array_map(static fn ($d): string => $d->where === 'q' ? $d->message : '', PaperProof::of($paper, $items)->defects);

        return array_values(array_filter($all, static fn (string $m): bool => str_contains($m, 'looks at')));
    }
}
