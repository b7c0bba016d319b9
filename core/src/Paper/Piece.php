<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Paper;

use ChalkLadder\Core\Document\Node;

/**
 * A thing that readers move about on the picture of a source to think with; where they lay it is no answer. A draft's may
 * have no word on it yet: it is not laid out for readers then.
 */
final readonly class Piece
{
    public const MOST = 12;
    /** of one kind */
    public const MOST_COPIES = 20;
    private const LONGEST = 24;

    public function __construct(public string $text, public int $copies)
    {
    }

    public static function read(Node $node): self
    {
        $piece = new self($node->text('text', self::LONGEST), $node->int('copies', 1, self::MOST_COPIES, 1));
        $node->rejectUnknown();

        return $piece;
    }

    /** @return array{text: string, copies: int} */
    public function toArray(): array
    {
        return ['text' => $this->text, 'copies' => $this->copies];
    }
}
