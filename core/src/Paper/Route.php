<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Paper;

use Brick\Math\BigRational;
use ChalkLadder\Core\Document\Node;

/** Where a student goes after a section: by the first of its exits whose condition holds; where none does, the last way, which has none. */
final readonly class Route
{
    public const END = 'end';
    private const MOST_EXITS = 8;

    /**
     * @param list<RouteExit> $exits in the order in which they are tried
     * @param string          $else  where to go otherwise: a section id or {@see END}
     */
    public function __construct(public array $exits, public string $else)
    {
    }

    /** A document of before exits were listed has one: `then` below a share, or where `when` holds. */
    public static function read(Node $node): self
    {
        if ($node->has('then')) {
            $when = $node->text('when', RouteExit::LONGEST, '');
            $below = $node->rational('below', '0', '1', $when === '' ? null : '0');
            $then = $node->text('then', 36);
            $exits = [$when === '' ? RouteExit::below($below, $then) : RouteExit::where($when, $then)];
        } else {
            $exits = array_map(RouteExit::read(...), $node->children('exits', self::MOST_EXITS));
        }
        $route = new self($exits, $node->text('else', 36));
        $node->rejectUnknown();

        return $route;
    }

    /**
     * Which way is taken.
     *
     * @param array<string, BigRational> $names as {@see names()} gives them
     * @param list<int>                  $used  exits that have been taken as often as they may
     *
     * @return int the exit's place; the number of exits for the last way
     */
    public function choice(array $names, array $used = []): int
    {
        foreach ($this->exits as $i => $exit) {
            if (!in_array($i, $used, true) && $exit->holds($names)) {
                return $i;
            }
        }

        return count($this->exits);
    }

    /** Where a way leads: {@see choice()}. */
    public function to(int $exit): string
    {
        return ($this->exits[$exit] ?? null)->to ?? $this->else;
    }

    /** The share below which its one exit is taken; null where there are more, or it asks for something else. */
    public function cut(): ?BigRational
    {
        return count($this->exits) === 1 ? $this->exits[0]->cut : null;
    }

    /** @return non-empty-list<string> where its ways lead, in their order */
    public function targets(): array
    {
        return [...array_map(static fn (RouteExit $e): string => $e->to, $this->exits), $this->else];
    }

    /**
     * What conditions ask for, by name.
     *
     * @param list<BigRational> $credits of the section's questions in written order
     *
     * @return array<string, BigRational>
     */
    public static function names(BigRational $share, array $credits): array
    {
        $names = ['share' => $share];
        foreach ($credits as $i => $credit) {
            $names['q'.($i + 1)] = $credit;
        }

        return $names;
    }

    /** @return list<string> names in the conditions that nothing gives a value to */
    public function unknownNames(int $questions): array
    {
        $known = [
            'share',
            'true',
            'false',
            'pi',
            ...array_map(static fn (int $i): string => 'q'.$i, $questions > 0 ? range(1, $questions) : []),
        ];
        $asked = array_merge(...array_map(static fn (RouteExit $e): array => $e->names(), $this->exits));

        return array_values(array_unique(array_diff($asked, $known)));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['exits' => array_map(static fn (RouteExit $e): array => $e->toArray(), $this->exits), 'else' => $this->else];
    }
}
