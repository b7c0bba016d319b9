<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use Brick\Math\BigRational;
use ChalkLadder\Core\Document\Node;

/** What one line of an answer rule gives: credit, words to the student, and the wrong idea it shows. */
final readonly class Line
{
    public function __construct(public BigRational $credit, public string $feedback = '', public ?string $misconception = null)
    {
    }

    public static function read(Node $node, string $credit = '1'): self
    {
        return new self(
            $node->rational('credit', '0', '1', $credit),
            $node->text('feedback', Said::LONGEST, ''),
            $node->textOrNull('misconception', 36),
        );
    }

    /** @return array{credit: string, feedback: string, misconception: string|null} */
    public function toArray(): array
    {
        return ['credit' => (string) $this->credit, 'feedback' => $this->feedback, 'misconception' => $this->misconception];
    }

    public function withWords(string $feedback): self
    {
        return new self($this->credit, $feedback, $this->misconception);
    }

    public function outcome(string $name, string $readAs): Outcome
    {
        return Outcome::of($this->credit, $name, $readAs, $this->feedback, $this->misconception === null ? [] : [$this->misconception]);
    }

    /**
     * @param list<self|null> $lines
     *
     * @return list<string> the misconceptions they name, each once
     */
    public static function misconceptionsOf(array $lines): array
    {
        return array_values(array_unique(array_filter(
            array_map(static fn (?self $l): ?string => $l?->misconception, $lines),
            is_string(...),
        )));
    }
}
