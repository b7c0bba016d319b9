<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Paper;

use Brick\Math\BigRational;
use ChalkLadder\Core\Item\Defect;
use ChalkLadder\Core\Item\ItemTemplate;
use ChalkLadder\Core\Item\Outcome;
use ChalkLadder\Core\Paper\Blueprint;
use ChalkLadder\Core\Paper\Drawing;
use ChalkLadder\Core\Paper\Entry;
use ChalkLadder\Core\Paper\Paper;
use ChalkLadder\Core\Paper\PaperProof;
use ChalkLadder\Core\Paper\PaperReader;
use ChalkLadder\Core\Paper\Route;
use ChalkLadder\Core\Sitting\Conditions;
use ChalkLadder\Core\Sitting\MachineMarked;
use ChalkLadder\Core\Sitting\Rehearsal;
use ChalkLadder\Core\Sitting\Walk;
use ChalkLadder\Core\Tests\Item\Rules;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** Sections of which each student gets some questions. */
final class DrawingTest extends TestCase
{
    public function testEachQuestionIsDrawnAsOftenAsAnyOther(): void
    {
        $ids = ['a', 'b', 'c', 'd', 'e', 'f', 'g'];
        foreach ([[], ['a' => 'x', 'b' => 'x', 'c' => 'x', 'd' => 'x', 'e' => 'y', 'f' => 'y', 'g' => 'z']] as $kinds) {
            $times = array_fill_keys($ids, 0);
            for ($i = 0; $i < 7000; ++$i) {
                foreach ((new Drawing(3, Drawing::BY_SKILL, $kinds))->of($ids, "s$i", 'one') as $id) {
                    ++$times[$id];
                }
            }
            self::assertSame(21_000, array_sum($times));
            // 3000 each, with a standard deviation of 41.
            self::assertLessThan(170, max(array_map(static fn (int $n): int => abs($n - 3000), $times)));
        }
    }

    public function testEachKindHasItsShareToWithinOne(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(3));
        for ($i = 0; $i < 400; ++$i) {
            $n = $random->getInt(1, 14);
            $ids = array_map(static fn (int $j): string => "e$j", range(1, $n));
            $kinds = array_combine($ids, array_map(static fn (): string => 'k'.$random->getInt(1, 4), $ids));
            $drawing = new Drawing($random->getInt(1, 15), Drawing::BY_SKILL, $kinds);
            $drawn = $drawing->of($ids, "s$i", 'one');
            $k = min($drawing->count, $n);
            self::assertCount($k, array_unique($drawn));
            self::assertSame($drawn, array_values(array_intersect($ids, $drawn)), 'in written order');
            self::assertSame($drawn, $drawing->of($ids, "s$i", 'one'), 'the same for a seed');
            foreach (array_count_values($kinds) as $kind => $m) {
                $of = array_keys($kinds, $kind, true);
                $got = count(array_intersect($drawn, $of));
                self::assertContains($got, [intdiv($k * $m, $n), intdiv($k * $m + $n - 1, $n)]);
                self::assertSame(intdiv($k * $m, $n), $drawing->least($of, $ids));
            }
            $some = array_slice($ids, 0, $random->getInt(0, $n));
            self::assertGreaterThanOrEqual($drawing->least($some, $ids), count(array_intersect($drawn, $some)));
        }
        self::assertSame(1, (new Drawing(3))->least(['a', 'b', 'c'], ['a', 'b', 'c', 'd', 'e']), 'by chance three may be drawn of which two are others');
    }

    public function testPinnedQuestionsComeAlwaysAndKeepTheirPlaces(): void
    {
        $paper = self::paper(['e1', 'p', 'e3', 'e4', 'q', 'e6'], 2);
        $seen = [];
        for ($i = 0; $i < 60; ++$i) {
            $shown = Walk::start($paper, new Conditions(), "s$i")->current()->entries ?? [];
            self::assertCount(4, $shown);
            self::assertSame(['p', 'q'], array_values(array_intersect($shown, ['p', 'q'])));
            $seen[implode(' ', $shown)] = true;
        }
        self::assertCount(6, $seen, 'two of four');

        $all = self::paper(['e1', 'p', 'e3', 'e4', 'q', 'e6'], null);
        $orders = [];
        for ($i = 0; $i < 200; ++$i) {
            $shown = Walk::start($all, new Conditions(shuffleQuestions: true), "s$i")->current()->entries ?? [];
            self::assertSame(['p', 'q'], [$shown[1], $shown[4]]);
            $orders[implode(' ', $shown)] = true;
        }
        self::assertCount(24, $orders, 'the other four in every order');
    }

    public function testASecondRoundAsksTheSameQuestions(): void
    {
        $paper = self::paper(['a', 'b', 'c', 'd'], 2, ['exits' => [['when' => 'share < 1', 'to' => 's', 'rounds' => 1]], 'else' => 'end']);
        $walk = Walk::start($paper, new Conditions(), 'one');
        $first = $walk->current()->entries ?? [];
        $next = $walk->leave($paper, new Conditions(), 'one', [], self::marked($paper));
        self::assertSame([$first, 2], [$next->current()?->entries, $next->current()?->try]);
        $right = array_fill_keys($first, [1 => Outcome::of(BigRational::one(), '', '')]);
        self::assertTrue($walk->leave($paper, new Conditions(), 'one', $right, self::marked($paper))->ended, 'all that was asked was right');
    }

    public function testTheProofAgreesWithEveryDrawAndEveryPatternOfMarks(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(8));
        for ($i = 0; $i < 120; ++$i) {
            $n = $random->getInt(1, 5);
            $ids = array_map(static fn (int $j): string => ($random->getInt(0, 3) === 0 ? 'p' : 'e').$j, range(1, $n));
            $free = count(array_filter($ids, static fn (string $id): bool => $id[0] === 'e'));
            $k = $random->getInt(1, 4);
            $when = static fn (): string => sprintf(
                'share %s %d/%d',
                ['<', '=', '>', '>='][$random->getInt(0, 3)],
                $random->getInt(0, 5),
                $random->getInt(2, 6),
            );
            $route = ['exits' => [['when' => $when(), 'to' => 'x'], ['when' => $when(), 'to' => 'y']], 'else' => 'end'];
            $paper = self::paper($ids, $k, $route);
            $proof = PaperProof::of($paper, self::items());
            $asked = count($ids) - $free + min($k, $free);
            self::assertGreaterThanOrEqual($asked, $proof->length[0]);
            self::assertLessThanOrEqual($asked + 1, $proof->length[1]);
            $ways = [];
            // Every number of right answers among those asked can come about, whatever is drawn: all are worth one mark.
            for ($right = 0; $right <= $asked; ++$right) {
                $choice = $paper->sections[0]->route?->choice(Route::names(BigRational::nd($right, max(1, $asked)), []));
                $ways[(int) $choice] = true;
            }
            foreach ($proof->exits['s'] as $way => $exit) {
                self::assertTrue($exit->exact);
                self::assertSame(isset($ways[$way]), $exit->isPossible(), json_encode($paper->toArray(), JSON_THROW_ON_ERROR));
            }
        }
    }

    public function testWhatCannotBeFairIsSaid(): void
    {
        $says = static fn (Paper $paper): array => array_map(
            static fn (Defect $d): array => [$d->blocks, $d->message],
            PaperProof::of($paper, self::items())->defects,
        );
        self::assertSame([], $says(self::paper(['a', 'b', 'c'], 2)));
        self::assertSame([[false, 'Section "S" draws 3 of 3: everybody gets all of them.']], $says(self::paper(['a', 'b', 'c'], 3)));
        self::assertSame(
            [[true, 'Section "S" draws from questions that are not worth the same, so that students would have different marks to reach.']],
            $says(self::paper(['a', 'b', 'c'], 2, null, ['b' => '2'])),
        );
        $route = static fn (string $when): array => ['exits' => [['when' => $when, 'to' => 'x']], 'else' => 'end'];
        $paper = self::paper(['a', 'p', 'c'], 1, $route('q1 = 1'));
        self::assertContains(
            [true, 'The route after "S" asks for "q1", which not every student gets. Pin that question, or ask for the share.'],
            $says($paper),
        );
        self::assertStringNotContainsString(
            'not every student gets',
            implode(' ', array_column($says(self::paper(['a', 'p', 'c'], 1, $route('q2 = 1'))), 1)),
        );
        self::assertContains(
            [true, 'The route after "S" goes by marks that are known at once, but draws from questions that are marked by hand too.'],
            $says(self::paper(['a', 'open', 'c'], 2, $route('share < 1'))),
        );
    }

    public function testRehearsalBlueprintAndPrintCountWhatAStudentGets(): void
    {
        $paper = self::paper(['a', 'b', 'c', 'd', 'p'], 2);
        $rehearsed = Rehearsal::of($paper, [], self::marked($paper), 50, 'seed');
        self::assertSame([3 => 50], $rehearsed->lengths);
        self::assertSame('3', (string) $rehearsed->ways[0]['points']);
        $known = array_fill_keys(['a', 'b', 'c', 'd', 'p'], ['skill' => 'k', 'facility' => 0.5, 'seconds' => 60.0]);
        $whole = Blueprint::of($paper, $known)->whole;
        self::assertSame(['3', 180.0], [(string) $whole->marks, $whole->seconds]);
        $printed = $paper->version('A');
        self::assertSame([3, null], [count($printed->questions()), $printed->sections[0]->drawing]);
    }

    public function testADraftSaysHowItDrawsAndAnEditionOfWhatKindItsQuestionsAre(): void
    {
        $paper = self::paper(['a', 'b', 'p'], 1);
        $known = $paper->withSections([$paper->sections[0]->withDrawing(new Drawing(1, Drawing::BY_DIFFICULTY))])
            ->knowingKinds(static fn (Entry $e, Drawing $d): string => $e->id === 'a' ? 'low' : $d->by);
        self::assertSame(['a' => 'low', 'b' => 'difficulty'], $known->sections[0]->drawing?->kinds);
        self::assertSame($known->toArray(), PaperReader::read($known->toArray())->toArray());
        self::assertSame([], $known->knowingKinds(null)->sections[0]->drawing?->kinds);
        self::assertTrue(PaperReader::read($known->toArray())->entry('p')?->pinned);
    }

    /**
     * @param list<string>              $ids    those that begin with a p or q are pinned
     * @param array<string, mixed>|null $route
     * @param array<string, string>     $points
     */
    private static function paper(array $ids, ?int $count, ?array $route = null, array $points = []): Paper
    {
        $section = ['id' => 's', 'title' => 'S', 'route' => $route, 'entries' => array_map(static fn (string $id): array => [
            'id' => $id, 'kind' => 'question', 'item' => $id === 'open' ? 'open' : 'one', 'points' => $points[$id] ?? '1',
        ] + (str_starts_with($id, 'p') || $id === 'q' ? ['pinned' => true] : []), $ids)];
        $other = static fn (string $id): array => ['id' => $id, 'title' => $id, 'route' => ['exits' => [], 'else' => 'end'], 'entries' => [
            ['id' => "in-$id", 'kind' => 'question', 'item' => 'one', 'points' => '1'],
        ]];
        $further = $route === null || !str_contains(json_encode($route, JSON_THROW_ON_ERROR), '"x"') ? [] : [$other('x'), $other('y')];

        return PaperReader::read(['version' => 1, 'title' => 'Any', 'sections' => [
            $section + ($count === null ? [] : ['drawing' => ['count' => $count, 'by' => 'chance']]),
            ...$further,
        ]]);
    }

    private static function marked(Paper $paper): MachineMarked
    {
        return new MachineMarked(array_column($paper->questions(), 'id'));
    }

    /** @return array<string, ItemTemplate> */
    private static function items(): array
    {
        return ['one' => ItemTemplate::of(Rules::item('one')), 'open' => ItemTemplate::of(Rules::item('open'))];
    }
}
