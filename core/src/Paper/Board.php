<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Paper;

use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Item\Ground;
use ChalkLadder\Core\Item\Picture;
use ChalkLadder\Core\Item\Stroke;

/**
 * A board as a teacher drew it, stroke by stroke, so that it can be drawn on again. Readers see the picture that was made of it, and never
 * what lies beneath.
 */
final readonly class Board
{
    private const MOST = 600;
    private const MOST_POINTS = 12_000;

    /**
     * @param string       $ground  one of {@see Ground::KINDS}
     * @param Picture|null $picture what is drawn on, where the ground is a picture
     * @param list<Stroke> $strokes in the order in which they were drawn
     */
    public function __construct(public string $ground, public ?Picture $picture, public array $strokes)
    {
    }

    public static function read(Node $node): self
    {
        $board = new self(
            $node->oneOf('ground', Ground::KINDS, 'blank'),
            Picture::readOrNull($node, 'picture'),
            array_map(Stroke::read(...), $node->children('strokes', self::MOST)),
        );
        if (array_sum(array_map(static fn (Stroke $s): int => $s->length(), $board->strokes)) > self::MOST_POINTS) {
            $node->fault('strokes', sprintf('A board has at most %d points.', self::MOST_POINTS));
        }
        $node->rejectUnknown();

        return $board;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'ground' => $this->ground,
            'picture' => $this->picture?->toArray(),
            'strokes' => array_map(static fn (Stroke $s): array => $s->toArray(), $this->strokes),
        ];
    }
}
