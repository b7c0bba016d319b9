<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Paper;

use ChalkLadder\Core\Document\Node;

/**
 * Where in a source a question looks: at numbered lines of its passage, at a place on its picture or on a page of its PDF, or at a
 * stretch of what is heard or watched. Exactly one of the three.
 */
final readonly class Anchor
{
    /** Of a picture's width and height, and of what a player can be set to. */
    private const WHOLE = 1000;
    private const LONGEST = 4 * 3600;
    private const MOST_PAGES = 200;

    /**
     * @param string               $source id of the source's entry
     * @param array{int, int}|null $lines  first and last, from 1
     * @param array{int, int}|null $place  thousandths of the width from the left, and of the height from the top
     * @param int|null             $page   of the PDF that the place is on, from 1; null for a place on the picture
     * @param array{int, int}|null $moment first and last second; what plays may stop at the last
     */
    private function __construct(
        public string $source,
        public ?array $lines,
        public ?array $place,
        public ?int $page,
        public ?array $moment,
    ) {
    }

    public static function read(Node $node): self
    {
        $source = $node->text('source', 36);
        $lines = $place = $page = $moment = null;
        if ($node->has('from')) {
            $from = $node->int('from', 1, Source::MOST_LINES);
            $lines = [$from, $node->int('to', $from, Source::MOST_LINES, $from)];
        } elseif ($node->has('x')) {
            $place = [$node->int('x', 0, self::WHOLE), $node->int('y', 0, self::WHOLE)];
            $page = $node->intOrNull('page', 1, self::MOST_PAGES);
        } else {
            $at = $node->int('moment', 0, self::LONGEST);
            $moment = [$at, $node->int('until', $at, self::LONGEST, $at)];
        }
        $node->rejectUnknown();

        return new self($source, $lines, $place, $page, $moment);
    }

    /** What keeps it from being shown in the source as that is now; null where nothing does. */
    public function fault(Source $source): ?string
    {
        $name = $source->title === '' ? 'The source' : sprintf('“%s”', $source->title);

        return match (true) {
            $this->lines !== null && $this->lines[1] > $source->lines() => sprintf(
                'This question looks at line %d. %s has %s.',
                $this->lines[1],
                $name,
                $source->lines() === 0 ? 'no numbered lines' : sprintf('%d', $source->lines()),
            ),
            $this->page !== null && $source->file === null => sprintf('This question looks at a page. %s has none.', $name),
            $this->place !== null && $this->page === null && $source->picture === null => sprintf('This question looks at a picture. %s has none.', $name),
            $this->moment !== null && $source->file === null => sprintf('This question looks at a moment. %s has nothing to play.', $name),
            default => null,
        };
    }

    /** @return array<string, int|string> */
    public function toArray(): array
    {
        return ['source' => $this->source] + match (true) {
            $this->lines !== null => ['from' => $this->lines[0], 'to' => $this->lines[1]],
            $this->place !== null => ['x' => $this->place[0], 'y' => $this->place[1]] + ($this->page === null ? [] : ['page' => $this->page]),
            default => ['moment' => $this->moment[0] ?? 0, 'until' => $this->moment[1] ?? 0],
        };
    }
}
