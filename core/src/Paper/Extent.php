<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Paper;

use Brick\Math\BigRational;

/**
 * The least and the most that a student can meet on any way through a paper: points on offer, each question's once, and questions to
 * answer, each round's again. Found by going every way that can be taken; what is behind a circle of sections is gone once.
 */
final class Extent
{
    /** Beyond so many places on the way the circles of a paper are too tangled to be gone one by one. */
    private const MOST = 4000;
    public const NONE = ['0', '0', 0, 0];

    /** @var array<string, array{BigRational, BigRational, int, int}> */
    private array $known = [];

    /** @var array<string, list<string>> sections that belong to one circle, by each of them */
    private array $circles = [];

    /** @param array<string, SectionExits> $exits by section */
    private function __construct(private readonly Paper $paper, private readonly RouteGraph $graph, private readonly array $exits)
    {
    }

    /**
     * @param array<string, SectionExits> $exits by section
     *
     * @return array{BigRational, BigRational, int, int}|null least and most points, least and most questions; null where there is no
     *                                                        end to it, or no telling
     */
    public static function of(Paper $paper, RouteGraph $graph, array $exits): ?array
    {
        if ($graph->endless() !== []) {
            return null;
        }

        return (new self($paper, $graph, $exits))->from($paper->sections[0]->id ?? Route::END, [], []);
    }

    /**
     * @param array<string, int>  $gone how often each exit with a bound was taken, by section and place, within this circle
     * @param array<string, true> $met  sections of this circle that have been entered
     *
     * @return array{BigRational, BigRational, int, int}|null
     */
    private function from(string $id, array $gone, array $met): ?array
    {
        $section = $this->paper->section($id);
        $exits = $this->exits[$id] ?? null;
        if ($section === null || $exits === null) {
            return [BigRational::zero(), BigRational::zero(), 0, 0];
        }
        $circle = $this->circles[$id] ??= $this->graph->together($id);
        ksort($met);
        ksort($gone);
        $key = $id.'|'.implode(',', array_keys($met)).'|'.http_build_query($gone);
        if (isset($this->known[$key])) {
            return $this->known[$key];
        }
        if (count($this->known) > self::MOST) {
            return null;
        }
        $rounds = array_map(static fn (RouteExit $e): ?int => $e->rounds, $section->route->exits ?? []);
        $used = array_keys(array_filter($rounds, static fn (?int $most, int $i): bool => $most !== null
            && ($gone["$id.$i"] ?? 0) >= $most, ARRAY_FILTER_USE_BOTH));
        $rest = null;
        foreach ($exits->possible($used) as $way) {
            $to = $exits->to[$way];
            $within = in_array($to, $circle, true);
            $next = $gone;
            if (($rounds[$way] ?? null) !== null) {
                $next["$id.$way"] = ($gone["$id.$way"] ?? 0) + 1;
            }
            $on = $this->from($to, $within ? $next : [], $within ? $met + [$id => true] : []);
            if ($on === null) {
                return null;
            }
            $rest = $rest === null ? $on : [
                BigRational::min($rest[0], $on[0]),
                BigRational::max($rest[1], $on[1]),
                min($rest[2], $on[2]),
                max($rest[3], $on[3]),
            ];
        }
        $rest ??= [BigRational::zero(), BigRational::zero(), 0, 0];
        [$least, $most] = isset($met[$id]) ? [BigRational::zero(), BigRational::zero()] : $section->points();
        $count = $section->length();

        return $this->known[$key] = [
            $rest[0]->plus($least)->simplified(),
            $rest[1]->plus($most)->simplified(),
            $rest[2] + $count,
            $rest[3] + $count,
        ];
    }
}
