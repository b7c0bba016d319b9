<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use Brick\Math\BigRational;
use ChalkLadder\Core\Document\Node;

/** One step of help, opened on asking: sanitised HTML, and the share of the question's marks that opening it costs. */
final readonly class Hint
{
    public const MOST = 5;

    public function __construct(public string $text, public BigRational $cost)
    {
    }

    public static function read(Node $node): self
    {
        $hint = new self($node->text('text', ItemReader::RICH), $node->rational('cost', '0', '1'));
        $node->rejectUnknown();

        return $hint;
    }

    /** @return array{text: string, cost: string} */
    public function toArray(): array
    {
        return ['text' => $this->text, 'cost' => (string) $this->cost];
    }
}
