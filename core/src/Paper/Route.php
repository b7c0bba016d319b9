<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Paper;

use Brick\Math\BigRational;
use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Formula\Evaluator;
use ChalkLadder\Core\Formula\FormulaError;
use ChalkLadder\Core\Formula\Parser;
use ChalkLadder\Core\Formula\Tree;
use ChalkLadder\Core\Item\Texts;

/**
 * Where a student goes after a section: below a share of its points one way, otherwise the other. Or by a condition in
 * the formula language over `share` (0…1 of the section's points) and `q1`, `q2` … (the credit of its questions in
 * written order): where it holds, `then`.
 */
final readonly class Route
{
    public const END = 'end';

    /**
     * @param string    $then      where to go below the share, or where the condition holds: a section id or {@see END}
     * @param string    $else      where to go otherwise
     * @param string    $when      the condition as it was written, or ''
     */
    public function __construct(
        public BigRational $below,
        public string $then,
        public string $else,
        public string $when = '',
        private ?Tree $condition = null,
    ) {
    }

    public static function read(Node $node): self
    {
        $when = $node->text('when', 1000, '');
        $condition = null;
        if ($when !== '') {
            try {
                $condition = Parser::read($when);
            } catch (FormulaError $e) {
                $node->fault('when', $e->sentence());
            }
        }
        $route = new self(
            $node->rational('below', '0', '1', $when === '' ? null : '0'),
            $node->text('then', 36),
            $node->text('else', 36),
            $when,
            $condition,
        );
        $node->rejectUnknown();

        return $route;
    }

    /**
     * A condition that cannot be worked out does not hold.
     *
     * @param list<BigRational> $credits of the section's questions in written order
     */
    public function target(BigRational $share, array $credits = []): string
    {
        if ($this->condition === null) {
            return $share->isLessThan($this->below) ? $this->then : $this->else;
        }
        $names = ['share' => $share];
        foreach ($credits as $i => $credit) {
            $names['q'.($i + 1)] = $credit;
        }
        try {
            return Evaluator::holds($this->condition, $names, new Texts()) ? $this->then : $this->else;
        } catch (FormulaError) {
            return $this->else;
        }
    }

    /** Whether every student goes one way, whatever the answers. */
    public function neverBelow(): bool
    {
        return $this->condition === null && $this->below->isZero();
    }

    /** @return list<string> names in the condition that nothing gives a value to */
    public function unknownNames(int $questions): array
    {
        $known = [
            'share',
            'true',
            'false',
            'pi',
            ...array_map(static fn (int $i): string => 'q'.$i, $questions > 0 ? range(1, $questions) : []),
        ];

        return array_values(array_diff($this->condition?->names() ?? [], $known));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'below' => (string) $this->below,
            'then' => $this->then,
            'else' => $this->else,
        ] + ($this->when === '' ? [] : ['when' => $this->when]);
    }
}
