<?php

declare(strict_types=1);

namespace ChalkLadder\Demo;

use ChalkLadder\Core\Item\Response;
use ChalkLadder\Server\Bank\Bank;
use ChalkLadder\Server\Bank\ItemInput;
use ChalkLadder\Server\Handout\HandoutInput;
use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Identity\Access;
use ChalkLadder\Server\Identity\Role;
use ChalkLadder\Server\Identity\Staff;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Identity\StudentUser;
use ChalkLadder\Server\Paper\PaperInput;
use ChalkLadder\Server\Paper\Papers;
use ChalkLadder\Server\Paper\PublishInput;
use ChalkLadder\Server\Platform\Storage\Database;
use ChalkLadder\Server\Roster\ClassInput;
use ChalkLadder\Server\Roster\RosterInput;
use ChalkLadder\Server\Roster\Rosters;
use ChalkLadder\Server\Sitting\SaveInput;
use ChalkLadder\Server\Sitting\SavesInput;
use ChalkLadder\Server\Sitting\Sittings;
use ChalkLadder\Server\Sitting\VisitInput;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\Uid\Uuid;

/** What bin/bench measures: a year of 200 students, one handout at work, one handed in, one sat 25 times over. */
#[AsCommand('demo:crowd', 'Makes the crowd that bin/bench measures, and prints how to reach it.')]
final class CrowdCommand extends Command
{
    private const STUDENTS = 200;
    private const QUESTIONS = 30;
    private const TIMES = 25;

    public function __construct(
        private readonly Database $database,
        private readonly Staff $staff,
        private readonly Access $access,
        private readonly Bank $bank,
        private readonly Papers $papers,
        private readonly Rosters $rosters,
        private readonly Handouts $handouts,
        private readonly Sittings $sittings,
    ) {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $output->writeln(json_encode($this->database->together($this->make(...)), JSON_THROW_ON_ERROR));
        $this->database->run('ANALYZE');

        return self::SUCCESS;
    }

    /** @return array<string, mixed> */
    private function make(): array
    {
        $team = $this->database->newId();
        $this->database->insert('team', ['id' => $team, 'name' => 'The crowd']);
        $who = new StaffUser($this->staff->create($team, 'crowd@bench.example', 'The measurer', Role::Lead, bin2hex(random_bytes(8))), $team, 'The measurer', Role::Lead);
        $class = $this->rosters->create($who, new ClassInput('The crowd'))->id;
        $this->rosters->add($who, $class, new RosterInput(implode("\n", array_map(static fn (int $i): string => sprintf('Student %s', self::letters($i)), range(1, self::STUDENTS)))));
        $students = array_map(static fn ($r): StudentUser => new StudentUser($r->text('id'), $team, $r->text('name')), $this->database->rows('SELECT id, name FROM student WHERE team_id = :team ORDER BY name_folded', ['team' => $team]));
        $long = $this->edition($who, 'Thirty questions', self::QUESTIONS);
        $short = $this->edition($who, 'One question', 1);
        $atWork = $this->handOut($who, $long, $class);
        $handedIn = $this->handOut($who, $long, $class);
        $often = $this->handOut($who, $short, $class);
        $sitters = [];
        foreach ($students as $i => $student) {
            $sitters[] = ['cookie' => $this->cookie($student), 'sitting' => $this->sittings->open($student, $atWork)->id, 'student' => $student->id];
            $this->sit($student, $handedIn, $i, self::QUESTIONS);
            $this->sit($student, $often, $i, 1);
        }
        $this->multiply($often);

        return ['staff' => $this->cookie($who), 'atWork' => $atWork, 'handedIn' => $handedIn, 'often' => $often, 'responses' => self::STUDENTS * self::TIMES, 'students' => $sitters, 'entries' => array_map(static fn (int $i): string => 'e'.$i, range(1, self::QUESTIONS)), 'rule' => self::rule(1)];
    }

    private function edition(StaffUser $who, string $title, int $questions): string
    {
        $entries = [];
        for ($i = 1; $i <= $questions; ++$i) {
            $item = $this->bank->create($who, new ItemInput(['version' => 1, 'type' => 'choice', 'title' => "Question $i", 'prompt' => "<p>Question $i of the crowd.</p>", 'points' => '1', 'skill' => null, 'hint' => '', 'explanation' => '', 'rule' => self::rule(0)]))->id;
            $entries[] = ['id' => 'e'.$i, 'kind' => 'question', 'item' => $item, 'points' => '1'];
        }
        $paper = $this->papers->create($who, new PaperInput(['version' => 1, 'title' => $title, 'mastery' => null, 'sections' => [['id' => 's1', 'title' => 'All', 'entries' => $entries, 'route' => null]]]));

        return $this->papers->publish($who, $paper->id, new PublishInput($paper->version))->editionId ?? throw new \LogicException('The crowd’s paper has no defect.');
    }

    /** @return array{options: list<array<string, mixed>>} */
    private static function rule(int $key): array
    {
        return ['options' => array_map(static fn (int $i): array => ['id' => 'o'.$i, 'text' => "<p>option $i</p>", 'key' => $i === $key, 'feedback' => '', 'misconception' => null], range(0, 3))];
    }

    private function handOut(StaffUser $who, string $edition, string $class): string
    {
        return $this->handouts->create($who, new HandoutInput($edition, [$class], [], ['attempts' => 20], requestId: Uuid::v7()->toRfc4122()))->id;
    }

    private function sit(StudentUser $student, string $handout, int $seed, int $questions): void
    {
        $random = new Randomizer(new Xoshiro256StarStar($seed));
        $view = $this->sittings->open($student, $handout);
        $saves = [];
        for ($i = 1; $i <= $questions; ++$i) {
            // Abler students and easier questions go right more often; the rest spreads over the distractors.
            $right = $random->getInt(0, 399) < $seed + 200 - 4 * $i;
            $saves[] = new SaveInput('e'.$i, 1, Response::ofOptions('o'.($right ? 0 : $random->getInt(1, 3))), 1, "crowd-$i", $random->getInt(8_000, 90_000));
        }
        $this->sittings->save($student, $view->id, new SavesInput($saves));
        $this->sittings->handIn($student, $view->id, new VisitInput($view->visit));
    }

    /** Copies each sitting of a handout, with its response, until there are so many attempts. */
    private function multiply(string $handout): void
    {
        $this->database->run('CREATE TEMPORARY TABLE copied ON COMMIT DROP AS SELECT s.id AS old, gen_random_uuid() AS id, n AS attempt FROM sitting s, generate_series(2, :times::int) n WHERE s.handout_id = :id', ['id' => $handout, 'times' => self::TIMES]);
        $this->database->run('INSERT INTO sitting (id, handout_id, student_id, attempt, state, seed, walk, at_entry, opened_at, handed_in_at, handed_in_by, marks) SELECT c.id, s.handout_id, s.student_id, c.attempt, s.state, s.seed, s.walk, s.at_entry, s.opened_at, s.handed_in_at, s.handed_in_by, s.marks FROM sitting s JOIN copied c ON c.old = s.id');
        $this->database->run('INSERT INTO response (sitting_id, entry, try, value, counter, client_id, saved_at, settled, credit, verdict, line, read_as, millis) SELECT c.id, r.entry, r.try, r.value, r.counter, r.client_id, r.saved_at, r.settled, r.credit, r.verdict, r.line, r.read_as, r.millis FROM response r JOIN copied c ON c.old = r.sitting_id');
    }

    private function cookie(StaffUser|StudentUser $who): string
    {
        $cookie = $this->access->openFor($who, false);

        return $cookie->getName().'='.$cookie->getValue();
    }

    /** Students’ names hold letters only: 1 → A, 27 → AA. */
    private static function letters(int $i): string
    {
        return $i <= 26 ? chr(64 + $i) : self::letters(intdiv($i - 1, 26)).chr(65 + ($i - 1) % 26);
    }
}
