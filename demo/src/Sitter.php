<?php

declare(strict_types=1);

namespace ChalkLadder\Demo;

use ChalkLadder\Core\Item\Response;
use ChalkLadder\Core\Item\ResponseReader;
use ChalkLadder\Server\Roster\StudentUser;
use ChalkLadder\Server\Sitting\Api\Input\CallInput;
use ChalkLadder\Server\Sitting\Api\Input\PlayedInput;
use ChalkLadder\Server\Sitting\Api\Input\SaveInput;
use ChalkLadder\Server\Sitting\Api\Input\SavesInput;
use ChalkLadder\Server\Sitting\Api\Input\VisitInput;
use ChalkLadder\Server\Sitting\Api\View\SittingView;
use ChalkLadder\Server\Sitting\Api\View\StepView;
use ChalkLadder\Server\Sitting\Attending;
use ChalkLadder\Server\Sitting\Helping;
use ChalkLadder\Server\Sitting\ReadModel\Helps;
use ChalkLadder\Server\Sitting\ReadModel\SittingReader;
use ChalkLadder\Server\Sitting\ReadModel\Talk;
use ChalkLadder\Server\Sitting\ReadModel\WorkList;
use ChalkLadder\Server\Sitting\Saves;
use ChalkLadder\Server\Sitting\Sittings;
use ChalkLadder\Server\Sitting\Talking;
use Symfony\Component\Uid\Uuid;

/** Lets a simulated student sit, through the same acts as a real one. */
final readonly class Sitter
{
    /** How likely somebody asks after a step. */
    private const CALLS = 0.08;
    private const CALLED = ['Do I take it away from high or low?', 'Which hour is the third?', '', 'Is it metres or feet?'];
    /** What a helper and who is helped say in turn; a name of the helper goes into one. */
    private const TALK = [
        'What have you tried so far?',
        'I took one from the other, but it came out below nought.',
        'Which of the two is the higher one?',
        'Oh, the wrong way round! Is that you, %s?',
    ];

    public function __construct(
        private Sittings $sittings,
        private Saves $saves,
        private Attending $attending,
        private SittingReader $reader,
        private WorkList $list,
        private Talk $talk,
        private Talking $talking,
        private Helping $helping,
        private Helps $helps,
        private Scenario $scenario,
        private Handwork $handwork,
    ) {
    }

    /**
     * Sits a handout to its end.
     *
     * @param array<string, string> $slugs question slug by entry id
     */
    public function sit(SimulatedStudent $student, StudentUser $user, string $handoutId, array $slugs, int $counter): void
    {
        $view = $this->sittings->open($user, $handoutId);
        $this->play($student, $user, $view);
        for ($pass = 0; $pass < 20; ++$pass) {
            $saves = [];
            foreach (self::openSteps($view) as $step) {
                $question = $this->scenario->question($slugs[$step->entry] ?? '');
                $value = $student->answer($question);
                if ($value !== null) {
                    $saves[] = new SaveInput(
                        $step->entry,
                        $step->try,
                        $this->shown($user, $view, $step, $value),
                        $counter,
                        'demo-'.$step->entry.'-'.$step->try,
                        $student->time($question),
                        $student->confidence($question),
                    );
                }
            }
            if ($student->rushes && $student->chance() < 0.3) {
                $saves = array_slice($saves, 0, max(1, count($saves) - 2));
            }
            if ($saves !== []) {
                $this->saves->save($user, $view->id, new SavesInput($saves));
            }
            if (!$view->mayGoOn) {
                break;
            }
            $view = $this->sittings->goOn($user, $view->id, new VisitInput($view->visit));
            if ($view->ended) {
                break;
            }
        }
        $this->sittings->handIn($user, $view->id, new VisitInput($view->visit));
    }

    public function isAtWork(StudentUser $user, string $handoutId): bool
    {
        return $this->list->attempts($user->id, $handoutId)[0] !== null;
    }

    /** Now and then somebody asks for the teacher, and lets it be a question later. */
    public function perhapsCall(SimulatedStudent $student, StudentUser $user, string $handoutId): void
    {
        [$open] = $this->list->attempts($user->id, $handoutId);
        if ($open === null) {
            return;
        }
        if ($this->talk->call($open) !== null) {
            $this->talking->neverMind($user, $open);
        } elseif ($student->chance() < self::CALLS) {
            $words = self::CALLED[(int) floor($student->chance() * count(self::CALLED))] ?? '';
            $this->talking->call($user, $open, new CallInput(
                Uuid::v7()->toRfc4122(),
                $words === '' ? 'look' : 'stuck',
                $this->sittings->show($user, $open)->at ?? '',
                $words,
            ));
        }
    }

    /**
     * Two who were brought together talk: the helper says yes, then they take turns.
     *
     * @param array<string, StudentUser> $users by id
     */
    public function talk(array $users, string $teamId, string $handoutId): void
    {
        foreach ($this->helping->ofHandout($teamId, $handoutId) as $help) {
            $turn = count($help->lines);
            [$helper, $helped] = [$users[$help->helperId] ?? null, $users[$help->helpedId] ?? null];
            if ($help->state === 'over' || $turn >= count(self::TALK) || $helper === null || $helped === null) {
                continue;
            }
            $who = $turn % 2 === 0 ? $helper : $helped;
            $sitting = $this->helps->sittings($handoutId, [$who->id])[0] ?? '';
            if ($help->state === 'asked') {
                $this->helping->take($helper, $sitting);
            } else {
                $words = sprintf(self::TALK[$turn], explode(' ', $helper->name)[0]);
                $this->helping->say($who, $sitting, Uuid::v7()->toRfc4122(), $words);
            }
        }
    }

    /**
     * One step of a live sitting: opens it, answers the next question, goes on, or hands in. False when there is nothing left.
     *
     * @param array<string, string> $slugs
     */
    public function step(SimulatedStudent $student, StudentUser $user, string $handoutId, array $slugs, int $counter): bool
    {
        $view = $this->sittings->open($user, $handoutId);
        if ($view->hold !== null) {
            return true;
        }
        $todo = array_values(array_filter(self::openSteps($view), static fn (StepView $s): bool => $s->counter === 0));
        if ($todo !== []) {
            $question = $this->scenario->question($slugs[$todo[0]->entry] ?? '');
            $value = $student->answer($question) ?? Response::NOTHING;
            $this->saves->save(
                $user,
                $view->id,
                new SavesInput(
                    [new SaveInput(
                        $todo[0]->entry,
                        $todo[0]->try,
                        $this->shown($user, $view, $todo[0], $value),
                        $counter,
                        'demo-'.$counter,
                        $student->time($question),
                        $student->confidence($question),
                    )],
                    ($todo[1] ?? $todo[0])->entry,
                ),
            );

            return true;
        }
        if (!$view->ended && $view->mayGoOn) {
            $this->sittings->goOn($user, $view->id, new VisitInput($view->visit));

            return true;
        }
        $this->sittings->handIn($user, $view->id, new VisitInput($view->visit));

        return false;
    }

    /** Plays what the paper has to play: most to the end, some not, and the first seconds again by whoever finds them hard. */
    private function play(SimulatedStudent $student, StudentUser $user, SittingView $view): void
    {
        foreach ($view->sources as $source) {
            $seconds = $this->scenario->seconds($source->title);
            if ($source->file === null || $seconds === 0) {
                continue;
            }
            $until = $student->chance() < 0.8 ? $seconds : (int) ceil($seconds * $student->chance());
            $again = $student->chance() < 0.55 - 0.15 * $student->ability ? 1 + (int) floor(2 * $student->chance()) : 0;
            $times = [];
            for ($second = 0; $second < $seconds; ++$second) {
                $times[] = ($second < $until ? 1 : 0) + ($second < 4 ? $again : 0);
            }
            $this->attending->played($user, $view->id, new PlayedInput($source->file, Uuid::v7()->toRfc4122(), 1000 * $seconds, $times));
        }
    }

    /**
     * As the student's device would send it: with the names it knows options by.
     *
     * @param array<string, mixed> $value
     */
    private function shown(StudentUser $user, SittingView $view, StepView $step, array $value): Response
    {
        $made = ResponseReader::fromArray($this->handwork->made($value, $user->teamId, $view->id));

        return $this->reader->ofStudent($user->id, $view->id)->covered($step->entry, $step->try, $made);
    }

    /** @return list<StepView> */
    private static function openSteps(SittingView $view): array
    {
        return array_values(array_filter($view->steps, static fn (StepView $s): bool => $s->open && $s->face !== null));
    }
}
