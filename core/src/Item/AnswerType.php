<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Formula\Style;
use ChalkLadder\Core\Item\Notation\Notes;

/** One type of answer, before there is a rule: how its documents are read, and what is known of all such questions. */
interface AnswerType
{
    public function readRule(Node $node): Rule;

    /** @return non-empty-list<class-string<Response>> the forms in which an answer may come */
    public function responses(): array;

    /** How its keys are noted; null where they are not, and stand in notes as the documents they are. */
    public function notes(): ?Notes;

    /** How long such a question is taken to need, in seconds, while no record says otherwise. */
    public function seconds(): float;

    /** Whether its answers can be dragged into their places from a bank: words can, numbers are worked out. */
    public function isDragged(): bool;

    /** Whether it is scored, so that it must be worth something. */
    public function isScored(): bool;

    /**
     * The rule with numbers read as the team writes them.
     *
     * @param array<array-key, mixed> $rule as it came in
     *
     * @return array<array-key, mixed>
     */
    public function styled(array $rule, Style $style): array;

    /**
     * The rule with each rich text of it passed through a gate.
     *
     * @param array<array-key, mixed>  $rule  as it came in
     * @param \Closure(string): string $clean
     *
     * @return array<array-key, mixed>
     */
    public function cleaned(array $rule, \Closure $clean): array;

    /**
     * What speaks against one draw of a question with variables.
     *
     * @return list<string>
     */
    public function faults(DrawnRule $rule): array;
}
