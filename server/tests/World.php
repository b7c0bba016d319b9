<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests;

use ChalkLadder\Core\Item\Response;
use ChalkLadder\Core\Item\ResponseReader;
use ChalkLadder\Server\Bank\Api\Input\ItemInput;
use ChalkLadder\Server\Bank\Api\Input\TermInput;
use ChalkLadder\Server\Bank\Bank;
use ChalkLadder\Server\Bank\Terms;
use ChalkLadder\Server\Handout\Api\Input\HandoutInput;
use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Identity\Role;
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
use ChalkLadder\Server\Sitting\Saves;
use ChalkLadder\Server\Sitting\Sittings;
use Symfony\Component\Uid\Uuid;

/**
 * A small world: two teams, a class, four questions and a paper. Everything secret in it carries the word SECRET, so
 * that a body can be searched for what must not be there.
 */
final class World
{
    public readonly StaffUser $lead;
    public readonly StaffUser $teacher;
    public readonly StaffUser $marker;
    public readonly StaffUser $stranger;
    public readonly string $classId;
    public readonly string $idea;

    /** @var array<string, StudentUser> by name */
    public readonly array $students;

    /** @var array<string, string> bank ids by type */
    public readonly array $items;
    public readonly string $paperId;
    public readonly string $editionId;

    /**
     * @param \Closure(class-string): object $service
     */
    public function __construct(private readonly Tables $tables, private readonly \Closure $service)
    {
        $team = $this->team('Harbour');
        $this->lead = $this->person($team, Role::Lead, 'Lead');
        $this->teacher = $this->person($team, Role::Teacher, 'Teacher');
        $this->marker = $this->person($team, Role::Marker, 'Marker');
        $this->stranger = $this->person($this->team('Saltmarsh'), Role::Lead, 'Stranger');
        $this->classId = $this->get(Rosters::class)->create($this->lead, new ClassInput('8 Kestrel'))->id;
        $this->get(Places::class)->add($this->lead, $this->classId, new RosterInput("Ada Okafor\nBenoît Larsen\nCleo Marsh"));
        $students = [];
        foreach ($this->tables->rows('SELECT id, name FROM student WHERE team_id = :team', ['team' => $team]) as $row) {
            $students[$row->text('name')] = new StudentUser($row->text('id'), $team, $row->text('name'));
        }
        $this->students = $students;
        $this->idea = $this->get(Terms::class)->addMisconception($this->lead, new TermInput('SECRET idea', '', 'SECRET next step'))->id;
        $this->items = array_map(
            fn (array $item): string => $this->get(Bank::class)->create($this->lead, new ItemInput($item))->id,
            $this->itemDocuments(),
        );
        $paper = $this->get(Papers::class)->create($this->lead, new PaperInput($this->paperDocument()));
        $this->paperId = $paper->id;
        $this->editionId = $this->get(Papers::class)->publish($this->lead, $paper->id, new PublishInput($paper->version))->editionId ?? '';
    }

    /**
     * @template T of object
     *
     * @param class-string<T> $class
     *
     * @return T
     */
    public function get(string $class): object
    {
        $service = ($this->service)($class);

        return $service instanceof $class ? $service : throw new \LogicException($class);
    }

    /** @return array<string, array<string, mixed>> */
    public function itemDocuments(): array
    {
        $item = static fn (string $type, string $prompt, string $points, array $rule): array => [
            'version' => 1,
            'type' => $type,
            'title' => "A $type question",
            'prompt' => "<p>$prompt</p>",
            'points' => $points,
            'skill' => null,
            'hint' => '<p>A hint</p>',
            'explanation' => '<p>SECRET explanation</p>',
            'rule' => $rule,
        ];

        return [
            'choice' => $item('choice', 'Which?', '1', ['options' => [
                ['id' => 'a', 'text' => '<p>right</p>', 'key' => true, 'feedback' => 'SECRET praise', 'misconception' => null],
                ['id' => 'b', 'text' => '<p>wrong</p>', 'key' => false, 'feedback' => 'SECRET feedback', 'misconception' => $this->idea],
            ]]) + ['confidence' => true, 'working' => true, 'hints' => [['text' => '<p>SECRET further hint</p>', 'cost' => '1/2']]],
            'text' => $item(
                'text',
                'Name the bank.',
                '2',
                ['forms' => [
                    ['text' => 'SECRETROCK', 'credit' => '1', 'feedback' => '', 'misconception' => null],
                    ['text' => 'SECRETBROOK', 'credit' => '1/2', 'feedback' => 'SECRET spelling', 'misconception' => null],
                ]],
            ),
            'number' => $item(
                'number',
                'How deep?',
                '2',
                [
                    'targets' => [
                        ['value' => '98.76', 'credit' => '1'],
                        ['value' => '12.34', 'credit' => '0', 'feedback' => 'SECRET slip', 'misconception' => $this->idea],
                    ],
                    'unit' => 'm',
                    'unitUse' => 'optional',
                ],
            ),
            'open' => $item(
                'open',
                'Explain.',
                '4',
                ['criteria' => [[
                    'name' => 'Cause',
                    'levels' => [
                        ['points' => '0', 'descriptor' => 'SECRET none', 'misconception' => $this->idea],
                        ['points' => '2', 'descriptor' => 'SECRET all', 'misconception' => null],
                    ],
                ]]],
            ),
        ];
    }

    /**
     * @param array<string, mixed>|null $route   of the first section
     * @param array<string, mixed>|null $mastery
     *
     * @return array<string, mixed>
     */
    public function paperDocument(?array $route = null, ?array $mastery = null): array
    {
        $entry = fn (string $type, string $points): array => [
            'id' => 'e-'.$type,
            'kind' => 'question',
            'item' => $this->items[$type],
            'points' => $points,
        ];

        return ['version' => 1, 'title' => 'Heights of tide', 'mastery' => $mastery, 'sections' => [
            ['id' => 's1', 'title' => 'First look', 'entries' => [$entry('choice', '1'), $entry('text', '2')], 'route' => $route],
            ['id' => 's2', 'title' => 'Further out', 'entries' => [$entry('number', '2'), $entry('open', '4')], 'route' => null],
        ]];
    }

    /**
     * @param array<string, mixed> $conditions
     * @param list<string>         $students   beside the class
     */
    public function handOut(array $conditions = [], ?string $editionId = null, array $students = []): string
    {
        return $this->get(Handouts::class)->create($this->teacher, new HandoutInput(
            $editionId ?? $this->editionId,
            [$this->classId],
            $students,
            $conditions,
            requestId: Uuid::v7()->toRfc4122(),
        ))->id;
    }

    /** A student in a class of their own. */
    public function join(string $class, string $name): StudentUser
    {
        $id = $this->get(Rosters::class)->create($this->lead, new ClassInput($class))->id;
        $this->get(Places::class)->add($this->lead, $id, new RosterInput($name));
        $row = $this->tables->rows(
            'SELECT id FROM student WHERE team_id = :team AND name = :name',
            ['team' => $this->lead->teamId, 'name' => $name],
        )[0];

        return new StudentUser($row->text('id'), $this->lead->teamId, $name);
    }

    /**
     * Lets a student sit a handout to its end.
     *
     * @param array<string, array<string, mixed>> $answers value by entry
     *
     * @return string the sitting's id
     */
    public function sit(string $student, string $handoutId, array $answers, ?StudentUser $who = null): string
    {
        $sittings = $this->get(Sittings::class);
        $who ??= $this->students[$student];
        $view = $sittings->open($who, $handoutId);
        do {
            $here = array_filter($view->steps, static fn ($s): bool => $s->visit === $view->visit && isset($answers[$s->entry]));
            $this->get(Saves::class)->save(
                $who,
                $view->id,
                new SavesInput(array_values(array_map(
                    fn ($s): SaveInput => new SaveInput(
                        $s->entry,
                        $s->try,
                        $this->shown($who, $view->id, $s->entry, ResponseReader::fromArray($answers[$s->entry])),
                        1,
                        'x',
                    ),
                    $here,
                ))),
            );
            $more = $view->mayGoOn;
            if ($more) {
                $view = $sittings->goOn($who, $view->id, new VisitInput($view->visit));
            }
        } while ($more && !$view->ended);
        $sittings->handIn($who, $view->id, new VisitInput($view->visit));

        return $view->id;
    }

    /** A response as the student's device would send it: with the names it knows options by. */
    public function shown(StudentUser $who, string $sittingId, string $entry, Response $response): Response
    {
        return $this->get(SittingReader::class)->ofStudent($who->id, $sittingId)->covered($entry, 1, $response);
    }

    private function team(string $name): string
    {
        return $this->get(Teams::class)->found($name);
    }

    private function person(string $team, Role $role, string $name): StaffUser
    {
        return new StaffUser(
            $this->get(Staff::class)->create($team, mb_strtolower($name).'@test.example', $name, $role, 'a long password'),
            $team,
            $name,
            $role,
        );
    }
}
