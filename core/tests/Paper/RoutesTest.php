<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Paper;

use Brick\Math\BigRational;
use ChalkLadder\Core\Item\ItemTemplate;
use ChalkLadder\Core\Paper\Paper;
use ChalkLadder\Core\Paper\PaperProof;
use ChalkLadder\Core\Paper\PaperReader;
use ChalkLadder\Core\Paper\Route;
use ChalkLadder\Core\Tests\Item\Rules;
use Eris\Generators;
use Eris\TestTrait;
use PHPUnit\Framework\TestCase;

/** What the proof says of a paper, against walking every route of it. */
final class RoutesTest extends TestCase
{
    use TestTrait;

    private const MOST = 6;

    public function testTheProofAgreesWithWalkingEveryRoute(): void
    {
        $this->limitTo(300)->forAll(Generators::vector(
            self::MOST,
            Generators::tuple(Generators::choose(0, 3), Generators::choose(0, 4), Generators::choose(0, 4), Generators::bool()),
        ))
            ->then(static function (array $shape): void {
                /** @var list<array{int, int, int, bool}> $shape */
                $paper = self::paper($shape);
                $proof = PaperProof::of($paper, ['one' => ItemTemplate::of(Rules::item('one'))]);
                $said = implode("\n", array_map(static fn ($d): string => $d->message, $proof->defects));
                $seen = [];
                $ends = self::walk($paper, 's0', [], $seen);
                if ($ends === null) {
                    self::assertStringContainsString('go round without end', $said);
                    self::assertFalse($proof->mayPublish());

                    return;
                }
                foreach ($paper->sections as $section) {
                    self::assertSame(
                        !isset($seen[$section->id]),
                        str_contains($said, sprintf('Section "%s" is never reached.', $section->title)),
                        $section->id,
                    );
                }
                if (!str_contains($said, 'go round without end')) {
                    self::assertSame([min($ends), max($ends)], $proof->length);
                    self::assertSame([(string) min($ends), (string) max($ends)], [(string) $proof->points[0], (string) $proof->points[1]]);
                }
            });
    }

    public function testAShareAtTheEdgeIsNotBelowIt(): void
    {
        $route = new Route(BigRational::of('1/3'), 'again', 'on');

        self::assertSame('again', $route->target(BigRational::of('333333333333/1000000000000')));
        self::assertSame('on', $route->target(BigRational::of('1/3')));
    }

    public function testAConditionDecidesInsteadOfTheShare(): void
    {
        $paper = PaperReader::read([
            'version' => 1,
            'sections' => [[
                'id' => 'a',
                'title' => 'A',
                'entries' => [],
                'route' => ['when' => 'q2 < 1 and share >= 0.5', 'then' => 'help', 'else' => 'end'],
            ]],
        ]);
        $route = $paper->sections[0]->route;
        self::assertNotNull($route);
        [$none, $half, $whole] = [BigRational::zero(), BigRational::of('1/2'), BigRational::one()];

        self::assertSame('help', $route->target($half, [$whole, $none]));
        self::assertSame('end', $route->target($half, [$none, $whole]));
        self::assertSame('end', $route->target($none, [$none, $none]));
        self::assertSame('end', $route->target($half, [$whole]), 'a condition without a value does not hold');
        self::assertSame(['q2'], $route->unknownNames(1));
        self::assertSame([], $route->unknownNames(2));
    }

    /**
     * Lengths of all ways from a section to the end, or null where one never ends. An exit below nothing is never taken
     * where something is marked at once.
     *
     * @param list<string>        $trail
     * @param array<string, true> $seen
     *
     * @return non-empty-list<int>|null
     */
    private static function walk(Paper $paper, string $id, array $trail, array &$seen): ?array
    {
        $section = $paper->section($id);
        if ($section === null) {
            return [0];
        }
        if (in_array($id, $trail, true)) {
            return null;
        }
        $seen[$id] = true;
        $lengths = [];
        foreach ($paper->exits($section) as $exit) {
            $rest = self::walk($paper, $exit, [...$trail, $id], $seen);
            if ($rest === null) {
                return null;
            }
            foreach ($rest as $length) {
                $lengths[] = count($section->questions()) + $length;
            }
        }

        return $lengths === [] ? [0] : $lengths;
    }

    /** @param list<array{int, int, int, bool}> $shape questions, steps on below, steps on otherwise, whether there is a route */
    private static function paper(array $shape): Paper
    {
        $place = static fn (int $i): string => $i >= self::MOST ? 'end' : 's'.$i;
        $sections = [];
        foreach ($shape as $s => [$questions, $then, $else, $branches]) {
            $entries = [];
            for ($q = 0; $q < $questions; ++$q) {
                $entries[] = ['id' => "e{$s}-{$q}", 'kind' => 'question', 'item' => 'one', 'points' => '1'];
            }
            $sections[] = [
                'id' => 's'.$s,
                'title' => 'Section '.$s,
                'entries' => $entries,
                'route' => $branches ? ['below' => '1/2', 'then' => $place($s + $then), 'else' => $place($s + $else)] : null,
            ];
        }

        return PaperReader::read(['version' => 1, 'title' => 'Any', 'sections' => $sections]);
    }
}
