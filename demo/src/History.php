<?php

declare(strict_types=1);

namespace ChalkLadder\Demo;

use ChalkLadder\Demo\ReadModel\DemoReader;
use ChalkLadder\Server\Bank\Api\Input\ItemInput;
use ChalkLadder\Server\Bank\Api\Input\RemarkInput;
use ChalkLadder\Server\Bank\Bank;
use ChalkLadder\Server\Bank\RemarkOn;
use ChalkLadder\Server\Bank\Remarks;
use ChalkLadder\Server\Handout\Api\Input\HandoutInput;
use ChalkLadder\Server\Handout\Api\Input\KeptPlanInput;
use ChalkLadder\Server\Handout\FeedbackPlans;
use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Lookout\Api\Input\RoomQuestionInput;
use ChalkLadder\Server\Lookout\RoomQuestions;
use ChalkLadder\Server\Lookout\Walls;
use ChalkLadder\Server\Marking\Api\Input\KeyInput;
use ChalkLadder\Server\Marking\Api\Input\MarkInput;
use ChalkLadder\Server\Marking\Api\Input\ReturnInput;
use ChalkLadder\Server\Marking\Api\Input\SecondMarkInput;
use ChalkLadder\Server\Marking\Desk;
use ChalkLadder\Server\Marking\Keys;
use ChalkLadder\Server\Marking\Returning;
use ChalkLadder\Server\Marking\SecondMarking;
use ChalkLadder\Server\Paper\Papers;
use ChalkLadder\Server\Regroup\Api\Input\FollowUpInput;
use ChalkLadder\Server\Regroup\Api\Input\FollowUpsInput;
use ChalkLadder\Server\Regroup\Api\Input\GroupingInput;
use ChalkLadder\Server\Regroup\Api\Input\GroupInput;
use ChalkLadder\Server\Regroup\Api\Input\MemberInput;
use ChalkLadder\Server\Regroup\Api\View\GroupView;
use ChalkLadder\Server\Regroup\Api\View\MemberView;
use ChalkLadder\Server\Regroup\Groupings;
use ChalkLadder\Server\Roster\Api\Input\SupportInput;
use ChalkLadder\Server\Roster\Rosters;
use ChalkLadder\Server\Roster\StudentUser;
use Symfony\Component\Clock\Clock;
use Symfony\Component\Clock\MockClock;
use Symfony\Component\Uid\Uuid;

/** A term at Kelpwick Harbour: papers handed out, sat, marked, returned, and what came of them. */
final class History
{
    private const ON_RETURN = ['verdict' => 'returned'];
    private const AT_ONCE = ['verdict' => 'at once', 'feedback' => 'at once'];
    private const AFTER_HAND_IN = [
        'verdict' => 'handed in',
        'feedback' => 'handed in',
        'marks' => 'handed in',
        'key' => 'handed in',
        'workedAnswer' => 'handed in',
    ];
    private const FEEDBACK_FIRST = ['verdict' => 'handed in', 'feedback' => 'handed in', 'marks' => 'closed', 'classPicture' => 'closed'];

    /** @var array<string, array{sim: SimulatedStudent, user: StudentUser, class: string}> */
    private array $students = [];

    /** @var array<string, string> */
    private array $editions = [];

    /** @var array<string, string> */
    private array $slugs = [];

    public function __construct(
        private readonly Scenario $scenario,
        private readonly DemoReader $reader,
        private readonly People $people,
        private readonly BankBuilder $builder,
        private readonly Sitter $sitter,
        private readonly Handouts $handouts,
        private readonly FeedbackPlans $plans,
        private readonly RoomQuestions $room,
        private readonly Walls $walls,
        private readonly Desk $desk,
        private readonly Keys $keys,
        private readonly SecondMarking $second,
        private readonly Returning $returning,
        private readonly Groupings $groupings,
        private readonly Bank $bank,
        private readonly Remarks $remarks,
        private readonly Papers $papers,
        private readonly StudentQuestions $studentQuestions,
        private readonly Rosters $rosters,
        private readonly PadsQuiz $padsQuiz,
    ) {
    }

    public function tell(): void
    {
        $today = new \DateTimeImmutable('today 09:00');
        $this->at($today, '-60 days');
        ['lead' => $lead, 'teacher' => $teacher, 'marker' => $marker] = $this->people->team();
        $this->editions = $this->builder->build($lead);
        $this->slugs = $this->builder->slugs();
        $classes = $this->people->classes($lead);
        $this->students = $this->people->students();

        $this->at($today, '-38 days');
        $chart = $this->handOut($lead, 'chart', array_values($classes));
        $this->sitAll($chart, 0.96);
        $this->handouts->close($lead, $chart);
        $this->acceptArticle($teacher, $chart);
        $this->at($today, '-36 days');
        $this->returning->return($lead, $chart, new ReturnInput(null, 'Read your feedback on scale before Thursday; we come back to it.'));
        $this->group($lead, $chart);

        $this->at($today, '-6 days');
        $check = $this->handOut($lead, 'check', array_values($classes), ['attempts' => 2, 'counts' => 'best']);
        $this->sitAll($check, 0.95);
        $this->sitAll($check, 0.09);
        $this->handouts->close($lead, $check);

        $this->at($today, '-3 days');
        $unit = $this->handOut($lead, 'unit', [$classes['8 Kestrel'], $classes['8 Heron']]);
        $this->sitAll($unit, 0.94);
        $this->handouts->close($lead, $unit);
        $this->markSome($lead, $marker, $unit);
        $this->markAgain($teacher, $unit);

        $this->at($today, '-2 days');
        $sheet = $this->handOut($lead, 'sheet', [$classes['8 Tern'], $classes['8 Heron']]);
        $this->sitAll($sheet, 0.93);
        $this->handouts->close($lead, $sheet);

        $bearings = $this->handOut($lead, 'bearings', [$classes['8 Tern']]);
        $this->sitAll($bearings, 0.94);
        $this->handouts->close($lead, $bearings);
        $coast = $this->handOut($lead, 'coast', [$classes['8 Heron']]);
        $this->sitAll($coast, 0.93);
        $this->handouts->close($lead, $coast);

        $this->at($today, '-1 days');
        $every = $this->handOut($lead, 'every', [$classes['8 Tern']]);
        $this->sitAll($every, 0.95);
        $this->handouts->close($lead, $every);
        $this->plans->keep($lead, new KeptPlanInput('Feedback first, and how the class did', self::FEEDBACK_FIRST));
        $sound = $this->handOut($lead, 'sound', [$classes['8 Kestrel']], ['feedback' => self::FEEDBACK_FIRST]);
        $this->sitAll($sound, 0.94);
        $this->handouts->close($lead, $sound);

        $pole = $this->handOut($lead, 'watching', [$classes['8 Tern']]);
        $this->sitAll($pole, 0.95);
        $this->handouts->close($lead, $pole);

        $this->askTheRoom($teacher, $classes['8 Tern']);
        $this->padsQuiz->tell($teacher, $classes['8 Tern'], $this->students);

        $this->support($lead, $classes['8 Tern'], ['Alba Petrov-Kane' => [true, true, false, true, 1]]);
        $this->support($lead, $classes['8 Kestrel'], ['Amadou Vesterholm' => [false, false, true, true, 0]]);

        $this->talk($lead, $teacher);
        $this->studentQuestions->tell($lead, $classes, $this->students);

        Clock::set(new MockClock(new \DateTimeImmutable('-9 minutes')));
        $this->handOut($lead, 'revise', [$classes['8 Heron']], ['feedback' => self::AT_ONCE, 'shuffleOptions' => true]);
        $this->handOut($lead, 'ladder', [$classes['8 Kestrel']], ['feedback' => self::AT_ONCE]);
        $this->handOut($lead, 'sheet', [$classes['8 Kestrel']], ['wholePage' => true, 'pasting' => false]);
        $this->handouts->create(
            $lead,
            new HandoutInput($this->editions['further'], [$classes['8 Kestrel']], visible: false, requestId: Uuid::v7()->toRfc4122()),
        );
    }

    /** Hands are counted before a talk and after it, and the lesson is over. */
    private function askTheRoom(StaffUser $who, string $class): void
    {
        $question = (string) array_search('c-scale-which', $this->slugs, true);
        $room = $this->room->ask($who, new RoomQuestionInput($question, $class, Uuid::v7()->toRfc4122()));
        $this->walls->raise($who, $room->handoutId, $room->entry, ['A' => 6, 'B' => 14, 'C' => 4], ['A' => 19, 'B' => 4, 'C' => 1]);
        $this->handouts->close($who, $room->handoutId);
    }

    private function at(\DateTimeImmutable $today, string $when): void
    {
        Clock::set(new MockClock($today->modify($when)));
    }

    /**
     * @param list<string>         $classes
     * @param array<string, mixed> $conditions
     */
    private function handOut(StaffUser $who, string $paper, array $classes, array $conditions = []): string
    {
        return $this->handouts->create(
            $who,
            new HandoutInput(
                $this->editions[$paper],
                $classes,
                [],
                $conditions + ['feedback' => self::ON_RETURN],
                requestId: Uuid::v7()->toRfc4122(),
            ),
        )->id;
    }

    private function sitAll(string $handoutId, float $share): void
    {
        $slugs = $this->slugsOf($handoutId);
        foreach ($this->reader->studentsOf($handoutId) as $id) {
            $student = $this->students[$id] ?? null;
            if ($student !== null && $student['sim']->chance() < $share) {
                $this->sitter->sit($student['sim'], $student['user'], $handoutId, $slugs, 1);
            }
        }
    }

    /** @param array<string, array{bool, bool, bool, bool, int}> $given what helps, by name */
    private function support(StaffUser $who, string $class, array $given): void
    {
        foreach ($this->students as $id => ['user' => $user]) {
            if (isset($given[$user->name])) {
                $this->rosters->support($who, $class, $id, new SupportInput(...$given[$user->name]));
            }
        }
    }

    /** @return array<string, string> question slug by entry id */
    private function slugsOf(string $handoutId): array
    {
        return array_map(fn (string $id): string => $this->slugs[$id] ?? '', $this->reader->questionsOf($handoutId));
    }

    /** A right answer in a form that nobody had listed: accepted once, for all who gave it. */
    private function acceptArticle(StaffUser $who, string $handoutId): void
    {
        $entry = (string) array_search('c-symbol', $this->slugsOf($handoutId), true);
        $this->keys->apply($who, $handoutId, $entry, new KeyInput(accept: ['text' => 'the Lamrock'], reason: 'The article is no mistake.'));
    }

    /**
     * The marker has begun with the first open question and left the second. Read as the lead sees it: a marker's list is
     * drawn anew at each look, and the story is to be the same every time.
     */
    private function markSome(StaffUser $lead, StaffUser $marker, string $handoutId): void
    {
        $slugs = $this->slugsOf($handoutId);
        $entry = (string) array_search('e-why-springs', $slugs, true);
        $comments = [
            'Yes, the pulls add. Say when that happens: what are the three bodies doing?',
            'Give the line of the log you used.',
            'Not the season: "to spring up".',
        ];
        foreach ($this->desk->desk($lead, $handoutId, $entry)->answers as $i => $answer) {
            $levels = $this->levelsFor('e-why-springs', $answer->given);
            if ($i % 5 > 2 || $levels === null) {
                continue;
            }
            $comment = match (true) {
                str_contains($answer->given, 'spring when') => $comments[2],
                $levels === [2, 0] => $comments[0],
                $levels[1] === 0 && $levels[0] > 0 => $comments[1],
                default => '',
            };
            $this->desk->mark(
                $marker,
                new MarkInput($answer->sittingId, $entry, $answer->try, $levels, null, $comment, $answer->markVersion),
            );
        }
    }

    /** A colleague has marked the same answers a second time, and is milder on the second criterion alone. */
    private function markAgain(StaffUser $who, string $handoutId): void
    {
        $entry = (string) array_search('e-why-springs', $this->slugsOf($handoutId), true);
        foreach ($this->desk->desk($who, $handoutId, $entry, true)->answers as $i => $answer) {
            $levels = $this->levelsFor('e-why-springs', $answer->given);
            if ($levels !== null) {
                $this->second->mark(
                    $who,
                    new SecondMarkInput(
                        $answer->sittingId,
                        $entry,
                        $answer->try,
                        [$i % 11 === 7 ? max(0, $levels[0] - 1) : $levels[0], $i % 5 < 2 ? min(2, $levels[1] + 1) : $levels[1]],
                    ),
                );
            }
        }
    }

    /** @return array{int, int}|null the rubric levels that the scenario gives to the answer this one was made from */
    private function levelsFor(string $slug, string $given): ?array
    {
        $fold = static fn (string $t): string => str_replace(['i think ', 'because', 'cause', '.'], ['', '', '', ''], mb_strtolower($t));
        foreach (Scenario::map($this->scenario->question($slug)['answers'] ?? []) as $answer) {
            $answer = Scenario::map($answer);
            if ($fold(Scenario::text($answer[2] ?? '')) === $fold($given) && is_int($answer[0] ?? null) && is_int($answer[1] ?? null)) {
                return [$answer[0], $answer[1]];
            }
        }

        return null;
    }

    /** What the two say about a few questions, and one that was put in other words for it. */
    private function talk(StaffUser $lead, StaffUser $teacher): void
    {
        $ids = array_flip($this->slugs);
        $say = function (StaffUser $who, string $slug, string $part, string $text) use ($ids): string {
            $remark = new RemarkInput(Uuid::v7()->toRfc4122(), $text, $part);
            $this->remarks->add($who, RemarkOn::Question, $ids[$slug], $remark);

            return $remark->id;
        };
        $second = $this->bank->items($lead->teamId, [$ids['t-height2']])[$ids['t-height2']]->sample()->rule->alternatives()[1]->id;
        $say($teacher, 't-height2', $second, 'Half of 8 Tern read 3.6 off the straight line on the poster. Is it the idea, or the poster?');
        $say($lead, 't-height2', '', 'Took the poster down. Ask again in 8 Heron.');
        $fair = $say($teacher, 'c-scale-which', 'prompt', 'Two asked whether a small sheet counts as a small chart. Say that the sheets are alike.');
        $shown = $this->bank->show($lead->teamId, $ids['c-scale-which']);
        $prompt = is_string($shown->item['prompt'] ?? null) ? $shown->item['prompt'] : '';
        $this->bank->save($teacher, $ids['c-scale-which'], new ItemInput(
            ['prompt' => str_replace('</p>', ' All are printed on the same sheet.</p>', $prompt)] + $shown->item,
            $shown->version,
        ));
        $this->remarks->settle($teacher, $fair);
        foreach ($this->papers->list($lead->teamId)->papers as $paper) {
            if ($paper->title === 'End of unit: tides and charts') {
                $this->remarks->add($teacher, RemarkOn::Paper, $paper->id, new RemarkInput(
                    Uuid::v7()->toRfc4122(),
                    '8 Tern needed ten minutes more than planned. Shall the log come first?',
                ));
            }
        }
    }

    /** Groups by misconception after the chart work; who mixes up units gets a second look at scale, and sits it. */
    private function group(StaffUser $who, string $handoutId): void
    {
        $proposal = $this->groupings->propose($who->teamId, $handoutId, 'misconception');
        $kept = $this->groupings->keep($who, $handoutId, new GroupingInput('After the chart work', 'misconception', array_map(
            static fn (GroupView $g): GroupInput => new GroupInput(
                $g->name,
                $g->about,
                array_map(static fn (MemberView $m): MemberInput => new MemberInput($m->studentId, $m->reason), $g->members),
            ),
            $proposal->groups,
        )));
        $scale = array_intersect_key($this->builder->ideas(), ['cmm' => 1, 'kmm' => 1, 'mulscale' => 1]);
        $followUps = [];
        foreach ($kept->groups as $group) {
            if ($group->id !== null && in_array($group->about, $scale, true)) {
                $followUps[] = new FollowUpInput($group->id, $this->editions['scale-again'], Uuid::v7()->toRfc4122());
            }
        }
        if ($followUps === []) {
            return;
        }
        $this->groupings->followUp($who, $kept->id ?? '', new FollowUpsInput($followUps, ['feedback' => self::AFTER_HAND_IN]));
        foreach ($this->reader->followUpsOf($kept->id ?? '') as $followUp) {
            $this->sitAll($followUp, 0.9);
            $this->handouts->close($who, $followUp);
        }
    }
}
