<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Notation;

/**
 * How the keys of one type of answer are noted. What lines cannot say of a rule is left to the frame, which compares what was
 * written with what is read of it.
 */
interface Notes
{
    /**
     * Whether these lines are a key of this type.
     *
     * @param non-empty-list<NoteLine> $lines
     */
    public function areOf(array $lines): bool;

    /**
     * @param list<NoteLine> $lines
     *
     * @return array<string, mixed> a rule's document, whole
     *
     * @throws NoteFault
     */
    public function rule(array $lines, Names $names): array;

    /**
     * @param array<array-key, mixed> $rule a rule's document, whole
     *
     * @return list<string>|null null where lines would lose what matters
     */
    public function lines(array $rule, Names $names): ?array;

    /**
     * The rule with its inner ids as {@see rule()} gives them.
     *
     * @param array<array-key, mixed> $rule
     *
     * @return array<array-key, mixed>
     */
    public function renamed(array $rule): array;
}
