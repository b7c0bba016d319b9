<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use Brick\Math\BigRational;

/** What an answer rule made of one response. */
final readonly class Outcome
{
    /**
     * @param BigRational|null $credit         0…1; null while a person has to decide
     * @param string           $line           the rule line that fired: an option id, `form 2`, `target 1`, or ''
     * @param string           $readAs         how the response was understood, for the teacher
     * @param string           $feedback       what the rule line says to the student
     * @param list<string>     $misconceptions ids of the wrong ideas that this response is evidence of
     */
    public function __construct(
        public ?BigRational $credit,
        public Verdict $verdict,
        public string $line = '',
        public string $readAs = '',
        public string $feedback = '',
        public array $misconceptions = [],
    ) {
    }

    public static function nothing(): self
    {
        return new self(BigRational::zero(), Verdict::None);
    }

    public static function byHand(string $readAs): self
    {
        return new self(null, Verdict::ByHand, readAs: $readAs);
    }

    /** An answer that is not scored. */
    public static function said(string $readAs): self
    {
        return new self(BigRational::zero(), Verdict::Said, readAs: $readAs);
    }

    /** @param list<string> $misconceptions */
    public static function of(BigRational $credit, string $line, string $readAs, string $feedback = '', array $misconceptions = []): self
    {
        return new self($credit->simplified(), Verdict::ofCredit($credit), $line, $readAs, $feedback, $misconceptions);
    }
}
