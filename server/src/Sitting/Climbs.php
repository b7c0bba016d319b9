<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting;

use ChalkLadder\Core\Grouping\Former;
use ChalkLadder\Core\Grouping\Group;
use ChalkLadder\Core\Grouping\Plan;
use ChalkLadder\Core\Grouping\Student;
use ChalkLadder\Core\Paper\PaperProof;
use ChalkLadder\Core\Sitting\Aliases;
use ChalkLadder\Core\Sitting\Climb as Ladder;
use ChalkLadder\Core\Sitting\Told;
use ChalkLadder\Core\Sitting\ToldFrom;
use ChalkLadder\Server\Handout\HandedOut;
use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Live\Push;
use ChalkLadder\Server\Platform\Storage\Acted;
use ChalkLadder\Server\Platform\Storage\Transaction;
use ChalkLadder\Server\Sitting\Api\View\ClimberView;
use ChalkLadder\Server\Sitting\Api\View\ClimbView;
use ChalkLadder\Server\Sitting\Entity\Climb;
use ChalkLadder\Server\Sitting\ReadModel\ClimbFacts;
use ChalkLadder\Server\Sitting\Repository\ClimbRepository;
use Symfony\Component\Clock\ClockInterface;

/** Teams of a handout's students climb a ladder by what they have right; the wall shows it, without names. */
final readonly class Climbs
{
    public function __construct(
        private Handouts $handouts,
        private ClimbRepository $climbs,
        private ClimbFacts $facts,
        private Push $push,
        private Transaction $transaction,
        private ClockInterface $clock,
    ) {
    }

    public function show(string $teamId, string $handoutId): ClimbView
    {
        return $this->view($this->handouts->find($teamId, $handoutId));
    }

    /** The climb that goes on; null where there is none. */
    public function goingOn(HandedOut $handout): ?ClimbView
    {
        return ($this->facts->climb($handout->id)[0] ?? false) ? $this->view($handout) : null;
    }

    /**
     * Proposes teams that are as strong as one another by what their students have shown before. Nothing is kept.
     *
     * @param int<2, 8> $count
     */
    public function draw(string $teamId, string $handoutId, int $count, string $seed): ClimbView
    {
        $handout = $this->handouts->find($teamId, $handoutId);
        $past = $this->facts->past($handoutId);
        if (count($past) < $count) {
            throw Problem::conflict('There are fewer students than teams.', 'Ask for fewer teams.');
        }
        $known = array_filter($past, static fn (?float $share): bool => $share !== null);
        // Of whom nothing is known is taken for one in the middle.
        $middle = $known === [] ? 0.0 : array_sum($known) / count($known);
        $students = [];
        foreach ($past as $id => $share) {
            $students[] = new Student($id, $share ?? $middle);
        }
        $each = intdiv(count($past), $count);
        $most = $each + (count($past) % $count === 0 ? 0 : 1);
        $formed = Former::form($students, new Plan($count, Plan::MIXED, $each, $most, seed: $seed));
        $names = Aliases::some("$handoutId $seed", $count);
        $teams = array_map(
            static fn (Group $group, string $name): array => ['name' => $name, 'students' => array_map(strval(...), array_keys($group->members))],
            $formed->groups,
            $names,
        );

        return $this->with($handout, 'drawn', $teams);
    }

    /**
     * Lets teams climb: those drawn, or as the teacher has changed them.
     *
     * @param list<array{name: string, students: list<string>}> $teams
     */
    public function begin(StaffUser $who, string $handoutId, array $teams): ClimbView
    {
        $handout = $this->handouts->find($who->teamId, $handoutId);
        $all = array_merge(...array_column($teams, 'students'));
        if (count($all) !== count(array_unique($all))) {
            throw Problem::invalid(['teams' => 'A student climbs with one team.']);
        }
        if (array_diff($all, array_map(strval(...), array_keys($this->facts->past($handoutId)))) !== []) {
            throw Problem::invalid(['teams' => 'One of these students does not have this work.']);
        }
        if (count(array_unique(array_column($teams, 'name'))) !== count($teams)) {
            throw Problem::invalid(['teams' => 'Two teams have the same name.']);
        }
        $this->transaction->run(function () use ($who, $handoutId, $teams): void {
            $climb = $this->climbs->findLocked($who->teamId, $handoutId);
            if ($climb === null) {
                $this->climbs->add(new Climb($handoutId, $who->teamId, $teams, $who->id, $this->clock->now()));
            }
            $climb?->goOnWith($teams);
            $this->transaction->note(new Acted($who->teamId, $who->id, 'begin climb', 'handout', $handoutId, ['teams' => count($teams)]));
        });

        return $this->told($handout);
    }

    public function stop(StaffUser $who, string $handoutId): ClimbView
    {
        $handout = $this->handouts->find($who->teamId, $handoutId);
        $this->transaction->run(function () use ($who, $handoutId): void {
            $this->climbs->findLocked($who->teamId, $handoutId)?->stop($this->clock->now());
        });

        return $this->told($handout);
    }

    private function told(HandedOut $handout): ClimbView
    {
        $this->push->send(Push::teachers($handout->id), ['kind' => 'look']);
        $this->push->send(Push::students($handout->id), ['kind' => 'look']);

        return $this->view($handout);
    }

    private function view(HandedOut $handout): ClimbView
    {
        [$isOn, $teams] = $this->facts->climb($handout->id) ?? [null, []];

        return $this->with($handout, $isOn === null ? 'none' : ($isOn ? 'on' : 'stopped'), $teams);
    }

    /** @param list<array{name: string, students: list<string>}> $teams */
    private function with(HandedOut $handout, string $state, array $teams): ClimbView
    {
        $credits = $teams === [] ? [] : $this->facts->credits($handout->id);
        $past = $state === 'drawn' ? $this->facts->past($handout->id) : [];
        $views = [];
        foreach ($teams as ['name' => $name, 'students' => $students]) {
            $at = array_flip($students);
            $here = array_values(array_intersect_key($credits, $at));
            $known = array_filter(array_intersect_key($past, $at), static fn (?float $share): bool => $share !== null);
            $views[] = new ClimberView(
                $name,
                $students,
                count($here),
                Ladder::height($here)->toFloat(),
                $known === [] ? null : array_sum($known) / count($known),
            );
        }
        $told = $handout->conditions->feedback->from(Told::Verdict);

        return new ClimbView($state, self::length($handout), $views, $told !== ToldFrom::AtOnce);
    }

    /** So many questions that a machine marks can a student meet at most, whatever way they go. */
    private static function length(HandedOut $handout): int
    {
        $marked = count($handout->edition->machineMarked()->entries);
        $longest = PaperProof::extent($handout->edition->paper())[3];

        return $longest === 0 ? $marked : min($marked, $longest);
    }
}
