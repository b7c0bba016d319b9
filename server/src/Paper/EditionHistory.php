<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper;

use ChalkLadder\Core\Paper\Difference;
use ChalkLadder\Core\Paper\Differences;
use ChalkLadder\Server\Paper\Api\View\DifferenceView;
use ChalkLadder\Server\Paper\Api\View\EditionLineView;
use ChalkLadder\Server\Paper\Api\View\EditionsView;
use ChalkLadder\Server\Paper\ReadModel\EditionReader;

/** What each edition of a paper changed in the one before, and what publishing the draft would change. */
final readonly class EditionHistory
{
    private const MOST = 20;

    public function __construct(private Papers $papers, private Editions $editions, private EditionReader $reader)
    {
    }

    public function of(string $teamId, string $paperId): EditionsView
    {
        $draft = $this->papers->draft($teamId, $paperId);
        $lines = $this->reader->all($paperId, self::MOST + 1);
        $papers = array_map(fn (array $line): PublishedPaper => $this->editions->load($line['id']), $lines);
        $views = [];
        foreach (array_slice($lines, 0, self::MOST) as $i => $line) {
            $views[] = new EditionLineView(
                $line['id'],
                $line['number'],
                $line['made'],
                $line['by'],
                isset($papers[$i + 1]) ? self::differences($papers[$i + 1], $papers[$i]) : null,
            );
        }

        return new EditionsView($papers === [] ? null : self::differences($papers[0], $draft), $views);
    }

    /** @return list<DifferenceView> */
    public static function differences(PublishedPaper $then, PublishedPaper $now): array
    {
        $titles = [];
        foreach ([$then, $now] as $paper) {
            foreach ($paper->paper()->questions() as $entry) {
                $titles[$entry->id] = $paper->title($entry->id);
            }
        }
        $parts = static function (string $entry) use ($then, $now): array {
            [$before, $after] = [$then->template($entry), $now->template($entry)];

            return $before === null || $after === null
                ? []
                : ChangedParts::between($before, $after->withPoints($before->sample()->points));
        };

        return array_map(
            static fn (Difference $d): DifferenceView => new DifferenceView($d->says, $d->where),
            Differences::between($then->paper(), $now->paper(), $titles, $parts),
        );
    }
}
