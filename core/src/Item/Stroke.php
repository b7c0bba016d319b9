<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use ChalkLadder\Core\Document\Node;

/**
 * One stroke of a drawing. Its points are whole numbers parted by spaces, three a point: x and y in thousandths of the
 * ground's width and the milliseconds since the stroke began, each as the difference from the point before.
 */
final readonly class Stroke
{
    private const LONGEST = 40_000;

    /**
     * @param 'pen'|'line'|'ring'|'words' $tool
     * @param int                         $colour 0 ink, 1 blue, 2 rust
     * @param int                         $width  of the pen in thousandths of the ground's width; of words their height
     * @param int                         $at     milliseconds of drawing before it began
     * @param string                      $text   of the tool `words`
     */
    public function __construct(
        public string $tool,
        public int $colour,
        public int $width,
        public int $at,
        public string $points,
        public string $text,
    ) {
    }

    public static function read(Node $node): self
    {
        $tool = $node->oneOf('tool', ['pen', 'line', 'ring', 'words'], 'pen');
        $points = $node->text('points', self::LONGEST);
        if (preg_match('/^-?\d{1,7}(?: -?\d{1,7}){2}(?:(?: -?\d{1,7}){3})*+$/D', $points) !== 1) {
            $node->fault('points', 'Points are whole numbers, three of each point, parted by spaces.');
        }
        $stroke = new self(
            match ($tool) {
                'line' => 'line', 'ring' => 'ring', 'words' => 'words', default => 'pen',
            },
            $node->int('colour', 0, 2, 0),
            $node->int('width', 1, 200, 4),
            $node->int('at', 0, 2_000_000_000, 0),
            $points,
            $node->text('text', 500, ''),
        );
        $node->rejectUnknown();

        return $stroke;
    }

    /** Points it has. */
    public function length(): int
    {
        return intdiv(substr_count($this->points, ' ') + 1, 3);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'tool' => $this->tool,
            'colour' => $this->colour,
            'width' => $this->width,
            'at' => $this->at,
            'points' => $this->points,
        ] + ($this->text === '' ? [] : ['text' => $this->text]);
    }
}
