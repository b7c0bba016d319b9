<?php

declare(strict_types=1);

namespace ChalkLadder\Demo;

use ChalkLadder\Core\Item\ResponseReader;
use ChalkLadder\Demo\ReadModel\DemoReader;
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
use ChalkLadder\Server\Sitting\Api\Input\SaveInput;
use ChalkLadder\Server\Sitting\Api\Input\SavesInput;
use ChalkLadder\Server\Sitting\Api\Input\VisitInput;
use ChalkLadder\Server\Sitting\ReadModel\SittingReader;
use ChalkLadder\Server\Sitting\Sittings;
use Doctrine\ORM\EntityManagerInterface;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Uid\Uuid;

/** What bin/bench measures: a year of 200 students, one handout at work, one handed in, one sat 25 times over. */
#[AsCommand('demo:crowd', 'Makes the crowd that bin/bench measures, and prints how to reach it.')]
final class CrowdCommand extends Command
{
    private const STUDENTS = 200;
    private const QUESTIONS = 30;
    private const TIMES = 25;

    public function __construct(
        private readonly DemoReader $reader,
        private readonly EntityManagerInterface $entities,
        private readonly Teams $teams,
        private readonly Staff $staff,
        private readonly Sessions $sessions,
        private readonly SittingReader $sittingReader,
        private readonly Bank $bank,
        private readonly Papers $papers,
        private readonly Rosters $rosters,
        private readonly Places $places,
        private readonly Handouts $handouts,
        private readonly Sittings $sittings,
    ) {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $output->writeln(json_encode($this->entities->getConnection()->transactional($this->make(...)), JSON_THROW_ON_ERROR));
        $this->reader->analyse();

        return self::SUCCESS;
    }

    /** @return array<string, mixed> */
    private function make(): array
    {
        $team = $this->teams->found('The crowd');
        $who = new StaffUser(
            $this->staff->create($team, 'crowd@bench.example', 'The measurer', Role::Lead, bin2hex(random_bytes(8))),
            $team,
            'The measurer',
            Role::Lead,
        );
        $class = $this->rosters->create($who, new ClassInput('The crowd'))->id;
        $this->places->add(
            $who,
            $class,
            new RosterInput(implode(
                "\n",
                array_map(static fn (int $i): string => sprintf('Student %s', self::letters($i)), range(1, self::STUDENTS)),
            )),
        );
        $students = array_map(static fn (array $r): StudentUser => new StudentUser($r['id'], $team, $r['name']), $this->reader->students());
        $long = $this->edition($who, 'Thirty questions', self::QUESTIONS);
        $short = $this->edition($who, 'One question', 1);
        $atWork = $this->handOut($who, $long, $class);
        $handedIn = $this->handOut($who, $long, $class);
        $often = $this->handOut($who, $short, $class);
        $sitters = [];
        foreach ($students as $i => $student) {
            $sitting = $this->sittings->open($student, $atWork)->id;
            $veiled = $this->sittingReader->ofStudent($student->id, $sitting);
            $options = [];
            foreach (range(1, self::QUESTIONS) as $n) {
                $options['e'.$n] = array_map($veiled->veil('e'.$n)->shown(...), ['o0', 'o1', 'o2', 'o3']);
            }
            $sitters[] = ['cookie' => $this->cookie($student), 'sitting' => $sitting, 'student' => $student->id, 'options' => $options];
            $this->sit($student, $handedIn, $i, self::QUESTIONS);
            $this->sit($student, $often, $i, 1);
        }
        $this->reader->multiply($often, self::TIMES);

        return [
            'staff' => $this->cookie($who),
            'atWork' => $atWork,
            'handedIn' => $handedIn,
            'often' => $often,
            'responses' => self::STUDENTS * self::TIMES,
            'students' => $sitters,
            'entries' => array_map(static fn (int $i): string => 'e'.$i, range(1, self::QUESTIONS)),
            'rule' => self::rule(1),
        ];
    }

    private function edition(StaffUser $who, string $title, int $questions): string
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
    private static function rule(int $key): array
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

    private function handOut(StaffUser $who, string $edition, string $class): string
    {
        return $this->handouts->create(
            $who,
            new HandoutInput($edition, [$class], [], ['attempts' => 20], requestId: Uuid::v7()->toRfc4122()),
        )->id;
    }

    private function sit(StudentUser $student, string $handout, int $seed, int $questions): void
    {
        $random = new Randomizer(new Xoshiro256StarStar($seed));
        $view = $this->sittings->open($student, $handout);
        $veiled = $this->sittingReader->ofStudent($student->id, $view->id);
        $saves = [];
        for ($i = 1; $i <= $questions; ++$i) {
            // Abler students and easier questions go right more often; the rest spreads over the distractors.
            $right = $random->getInt(0, 399) < $seed + 200 - 4 * $i;
            $saves[] = new SaveInput(
                'e'.$i,
                1,
                $veiled->covered('e'.$i, 1, ResponseReader::fromArray(['options' => ['o'.($right ? 0 : $random->getInt(1, 3))]])),
                1,
                "crowd-$i",
                $random->getInt(8_000, 90_000),
            );
        }
        $this->sittings->save($student, $view->id, new SavesInput($saves));
        $this->sittings->handIn($student, $view->id, new VisitInput($view->visit));
    }

    private function cookie(StaffUser|StudentUser $who): string
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
