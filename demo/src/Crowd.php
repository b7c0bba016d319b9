<?php

declare(strict_types=1);

namespace ChalkLadder\Demo;

use ChalkLadder\Server\Bank\Api\Input\ItemInput;
use ChalkLadder\Server\Bank\Bank;
use ChalkLadder\Server\Handout\Api\Input\HandoutInput;
use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Identity\Role;
use ChalkLadder\Server\Identity\Sessions;
use ChalkLadder\Server\Identity\Staff;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Identity\Teams;
use ChalkLadder\Server\Paper\Api\Input\PaperInput;
use ChalkLadder\Server\Paper\Api\Input\PublishInput;
use ChalkLadder\Server\Paper\Papers;
use ChalkLadder\Server\Roster\Api\Input\ClassInput;
use ChalkLadder\Server\Roster\Api\Input\RosterInput;
use ChalkLadder\Server\Roster\Places;
use ChalkLadder\Server\Roster\Rosters;
use ChalkLadder\Server\Roster\StudentUser;
use ChalkLadder\Server\Sitting\ReadModel\SittingReader;
use ChalkLadder\Server\Sitting\Sittings;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Uid\Uuid;

/** What is measured is made of this: a teacher, classes of many, papers of plain choices, and how each is reached. */
final readonly class Crowd
{
    public function __construct(
        private Teams $teams,
        private Staff $staff,
        private Sessions $sessions,
        private SittingReader $sittingReader,
        private Bank $bank,
        private Papers $papers,
        private Rosters $rosters,
        private Places $places,
        private Handouts $handouts,
        private Sittings $sittings,
    ) {
    }

    /** A team of its own with one who leads it. */
    public function lead(): StaffUser
    {
        $team = $this->teams->found('The crowd');
        $id = $this->staff->create($team, 'crowd@bench.example', 'The measurer', Role::Lead, bin2hex(random_bytes(8)));

        return new StaffUser($id, $team, 'The measurer', Role::Lead);
    }

    /** @return string id of a class of so many, whose names go by it */
    public function classOf(StaffUser $who, string $name, int $students): string
    {
        $class = $this->rosters->create($who, new ClassInput($name))->id;
        $names = array_map(static fn (int $i): string => sprintf('%s %s', $name, self::letters($i)), range(1, $students));
        $this->places->add($who, $class, new RosterInput(implode("\n", $names)));

        return $class;
    }

    /**
     * A student at work.
     *
     * @return array{cookie: string, sitting: string, student: string, options: array<string, list<string>>} options as their device names them
     */
    public function atWork(StudentUser $student, string $handout, int $questions): array
    {
        $sitting = $this->sittings->open($student, $handout)->id;
        $veiled = $this->sittingReader->ofStudent($student->id, $sitting);
        $options = [];
        foreach (range(1, $questions) as $n) {
            $options['e'.$n] = array_map($veiled->veil('e'.$n)->shown(...), ['o0', 'o1', 'o2', 'o3']);
        }

        return ['cookie' => $this->cookie($student), 'sitting' => $sitting, 'student' => $student->id, 'options' => $options];
    }

    public function edition(StaffUser $who, string $title, int $questions): string
    {
        $entries = [];
        for ($i = 1; $i <= $questions; ++$i) {
            $item = $this->bank->create(
                $who,
                new ItemInput([
                    'version' => 1,
                    'type' => 'choice',
                    'title' => "Question $i",
                    'prompt' => "<p>Question $i of the crowd.</p>",
                    'points' => '1',
                    'skill' => null,
                    'hint' => '',
                    'explanation' => '',
                    'rule' => self::rule(0),
                ]),
            )->id;
            $entries[] = ['id' => 'e'.$i, 'kind' => 'question', 'item' => $item, 'points' => '1'];
        }
        $paper = $this->papers->create(
            $who,
            new PaperInput([
                'version' => 1,
                'title' => $title,
                'mastery' => null,
                'sections' => [['id' => 's1', 'title' => 'All', 'entries' => $entries, 'route' => null]],
            ]),
        );

        return $this->papers->publish(
            $who,
            $paper->id,
            new PublishInput($paper->version),
        )->editionId ?? throw new \LogicException('The crowd’s paper has no defect.');
    }

    /** @return array{options: list<array<string, mixed>>} */
    public static function rule(int $key): array
    {
        return ['options' => array_map(
            static fn (int $i): array => [
                'id' => 'o'.$i,
                'text' => "<p>option $i</p>",
                'key' => $i === $key,
                'feedback' => '',
                'misconception' => null,
            ],
            range(0, 3),
        )];
    }

    public function handOut(StaffUser $who, string $edition, string $class): string
    {
        return $this->handouts->create(
            $who,
            new HandoutInput($edition, [$class], [], ['attempts' => 20], requestId: Uuid::v7()->toRfc4122()),
        )->id;
    }

    public function cookie(StaffUser|StudentUser $who): string
    {
        $cookie = $who instanceof StaffUser
            ? $this->sessions->openForStaff($who, new Request())
            : $this->sessions->openForStudent($who->teamId, $who->id, new Request());

        return $cookie->getName().'='.$cookie->getValue();
    }

    /** Students’ names hold letters only: 1 → A, 27 → AA. */
    private static function letters(int $i): string
    {
        return $i <= 26 ? chr(64 + $i) : self::letters(intdiv($i - 1, 26)).chr(65 + ($i - 1) % 26);
    }
}
