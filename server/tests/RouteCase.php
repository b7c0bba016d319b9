<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests;

use ChalkLadder\Server\Bank\Api\Input\TermInput;
use ChalkLadder\Server\Bank\Terms;
use ChalkLadder\Server\Media\Content;
use ChalkLadder\Server\Media\Files;
use ChalkLadder\Server\Roster\StudentUser;
use Doctrine\ORM\EntityManagerInterface;
use Doctrine\Persistence\ManagerRegistry;
use Psr\Cache\CacheItemPoolInterface;

/** A test that goes through all routes: one of each thing that a path can name, and a body that is good enough for each. */
abstract class RouteCase extends ApiCase
{
    /** Each act finds the subjects as they were: what the one before did is undone. */
    protected function begin(): void
    {
        self::service(EntityManagerInterface::class)->getConnection()->beginTransaction();
    }

    protected function undo(): void
    {
        $entities = self::service(EntityManagerInterface::class);
        $entities->getConnection()->rollBack();
        $entities->clear();
        if (!$entities->isOpen()) {
            self::service(ManagerRegistry::class)->resetManager();
        }
        foreach (['cache.app', 'cache.limits'] as $name) {
            $cache = self::getContainer()->get($name);
            self::assertInstanceOf(CacheItemPoolInterface::class, $cache);
            $cache->clear();
        }
    }

    /** @return array<string, mixed> a student's question, as it is sent */
    protected static function proposal(string $invitation, string $prompt, int $version = 0): array
    {
        return ['invitationId' => $invitation, 'version' => $version, 'question' => [
            'prompt' => $prompt, 'key' => 1, 'because' => 'SECRET reason',
            'options' => [['text' => 'noon', 'why' => 'SECRET mistake'], ['text' => 'twice a day', 'why' => '']],
        ]];
    }

    /** @return array<string, mixed> a class of a school's own system, as it is sent */
    protected static function schoolFiles(): array
    {
        return ['files' => [['name' => 'classes.csv', 'data' => base64_encode("sourcedId,title\nc-1,8 Curlew\n")]]];
    }

    /** @param array<string, string> $ids */
    protected static function path(string $pattern, array $ids): string
    {
        return (string) preg_replace_callback('/\{(\w+)\}/', static fn (array $m): string => $ids[$m[1]], $pattern);
    }

    /** @return array<string, string> one of each thing that a path can name */
    protected function subjects(): array
    {
        $world = $this->world;
        $handout = $world->handOut(['attempts' => 3, 'feedback' => Plan::AT_ONCE]);
        $ada = $world->students['Ada Okafor'];
        $handedIn = $world->sit(
            'Cleo Marsh',
            $handout,
            ['e-choice' => ['options' => ['b']], 'e-text' => ['text' => 'reef'], 'e-open' => ['text' => 'The moon.']],
        );
        $returned = $world->sit('Ada Okafor', $handout, ['e-text' => ['text' => 'SECRETROCK']]);
        $this->as($world->lead)->get(
            'PUT',
            '/marks',
            ['sittingId' => $handedIn, 'entry' => 'e-open', 'try' => 1, 'levels' => [1], 'comment' => 'SECRET shelf', 'markVersion' => 0],
        );
        $this->get('POST', "/handouts/$handout/return", ['students' => [$ada->id]]);
        $change = $this->get('POST', "/handouts/$handout/keys/e-text", ['accept' => ['text' => 'Reef']])->text('changeId');
        $grouping = $this->get(
            'POST',
            "/handouts/$handout/groupings",
            [
                'name' => 'By hand',
                'groups' => [['name' => 'One', 'members' => [['studentId' => $ada->id, 'reason' => 'x']]], ['name' => 'Two']],
            ],
        );
        $file = $world->get(Files::class);
        $shown = $file->store($world->lead->teamId, 'image/png', 'y.png', 'y');
        $pictured = ['version' => 1, 'title' => 'With a picture', 'mastery' => null,
            'sections' => [['id' => 's1', 'title' => 'All', 'route' => null, 'entries' => [
                ['id' => 'chart', 'kind' => 'source', 'source' => [
                    'title' => 'Chart', 'html' => '', 'picture' => $shown, 'alt' => 'A chart',
                ]],
                ['id' => 'e-choice', 'kind' => 'question', 'item' => $world->items['choice'], 'points' => '1'],
            ]]]];
        $paper = $this->get('POST', '/papers', ['paper' => $pictured])->text('id');
        $edition = $this->get('POST', "/papers/$paper/publish", ['version' => 1])->text('editionId');
        $other = $world->handOut([], $edition);
        // A later edition, to be put in the place of the one that is sat.
        $number = $world->items['number'];
        $said = ['item' => ['title' => 'Depth again', 'skill' => null] + $world->itemDocuments()['number'], 'version' => 1];
        $this->as($world->teacher)->get('PUT', "/items/$number", $said);
        $this->get('POST', "/papers/$world->paperId/publish", ['version' => 1]);
        $sitting = $this->open($ada, $handout);

        [$call, $note] = ['0190a0a0-0000-7000-8000-0000000000e1', '0190a0a0-0000-7000-8000-0000000000e2'];
        $this->get('PUT', "/me/sittings/$sitting/call", ['id' => $call, 'words' => 'SECRET trouble']);
        $this->as($world->teacher)->get('POST', "/handouts/$handout/notes", ['id' => $note, 'student' => $ada->id, 'words' => 'Look at the log.']);
        [$help, $line] = ['0190a0a0-0000-7000-8000-0000000000e5', '0190a0a0-0000-7000-8000-0000000000e6'];
        $this->get('POST', "/sittings/$sitting/helps", ['id' => $help, 'entry' => 'e-text', 'helper' => $world->students['Cleo Marsh']->id]);
        $this->as($world->students['Cleo Marsh'])->get('PUT', "/me/sittings/$handedIn/help");
        $this->get('POST', "/me/sittings/$handedIn/help", ['id' => $line, 'words' => 'SECRET words of Cleo']);
        $correction = '0190a0a0-0000-7000-8000-0000000000e9';
        $this->as($world->teacher)->get('POST', "/sittings/$handedIn/corrections", [
            'id' => $correction, 'entry' => 'e-choice', 'value' => ['options' => ['a']], 'why' => 'SECRET reason of the teacher',
        ]);
        $this->as($world->teacher)->get('POST', "/handouts/$handout/pads");
        $merge = '0190a0a0-0000-7000-8000-0000000000e8';
        $double = $this->as($world->teacher)->get('POST', "/classes/$world->classId/roster", ['text' => 'Ada Okafor 2'])->list('students');
        $ids = array_column(array_map(static fn (Json $s): array => ['id' => $s->text('id'), 'name' => $s->text('name')], $double), 'id', 'name');
        $this->get('POST', '/students/'.$ids['Ada Okafor 2'].'/merge', ['id' => $merge, 'into' => $ada->id]);
        $this->as($ada);

        $announced = ['name' => 'x.wav', 'size' => 4, 'kinds' => ['sound']];
        $sent = $this->get('POST', "/me/sittings/$sitting/uploads", $announced)->text('id');
        $upload = $this->as($world->teacher)->get('POST', '/uploads', $announced)->text('id');
        $scan = Pdf::read(1, static fn (Content $c): string => $file->keep($world->lead->teamId, null, 'scan.pdf', $c));
        $own = Pdf::read(1, static fn (Content $c): string => $file->keep($world->lead->teamId, $sitting, 'mine.pdf', $c));
        $terms = $world->get(Terms::class);
        [$skill, $whole, $part] = array_map(
            static fn (string $name): string => $terms->addSkill($world->lead, new TermInput($name))->id,
            ['Depths', 'Heights', 'Part of heights'],
        );
        $this->get('PUT', "/bank/skills/$part/part-of", ['into' => $whole]);

        $invitation = '0190a0a0-0000-7000-8000-0000000000d1';
        $this->as($world->teacher)->get('POST', '/invitations', ['id' => $invitation, 'classId' => $world->classId, 'topic' => 'Tides']);
        [$proposal, $asked] = ['0190a0a0-0000-7000-8000-0000000000d2', '0190a0a0-0000-7000-8000-0000000000d3'];
        foreach ([$proposal, $asked] as $i => $one) {
            $this->as($ada)->get('PUT', "/me/proposals/$one", self::proposal($invitation, "When is high water, $i?"));
        }
        $this->as($world->teacher)->get('POST', "/proposals/$asked/show", []);

        $group = $this->as($world->teacher)->get('POST', "/classes/$world->classId/groups", ['name' => 'Chart table'])->text('groups.0.id');

        return [
            'plan' => $this->get('POST', '/feedback-plans', ['name' => 'Marks on Friday'])->text('plans.0.id'),
            'group' => $group, 'elsewhere' => $this->get('POST', '/classes', ['name' => '8 Elsewhere'])->text('id'),
            'call' => $call, 'note' => $note, 'merge' => $merge, 'pad' => '01', 'correction' => $correction, 'help' => $help, 'line' => $line,
            'invitation' => $invitation, 'proposal' => $proposal, 'asked' => $asked,
            'paper' => $world->paperId, 'item' => $world->items['choice'], 'class' => $world->classId,
            'student' => $world->students['Cleo Marsh']->id,
            'handout' => $handout, 'untouched' => $world->handOut(), 'sitting' => $sitting, 'last' => $this->open($ada, $other), 'handedIn' => $handedIn,
            'returned' => $returned, 'entry' => 'e-text', 'change' => $change,
            'grouping' => $grouping->text('id'), 'one' => $grouping->text('groups.0.id'), 'two' => $grouping->text('groups.1.id'),
            'file' => $file->store($world->lead->teamId, 'image/png', 'x.png', 'x'), 'shown' => $shown,
            'pdf' => $this->as($world->teacher)->get(
                'POST',
                "/papers/$world->paperId/pdf",
                [],
            )->text('id'), 'session' => $this->get('GET', '/account')->text('sessions.0.id'), 'marker' => $world->marker->id,
            'search' => $this->as($world->teacher)->get('POST', '/bank/searches', ['name' => 'Scale', 'query' => 'q=scale'])->text('searches.0.id'),
            'remark' => $this->as($world->teacher)->get(
                'POST',
                '/items/'.$world->items['choice'].'/remarks',
                ['id' => '0190a0a0-0000-7000-8000-0000000000c2', 'text' => 'Look again.'],
            )->text('remarks.0.id'),
            'upload' => $upload, 'sent' => $sent, 'scan' => $scan, 'own' => $own,
            'folder' => $this->as($world->teacher)->get('POST', '/bank/folders', ['name' => 'Year 8'])->text('made'),
            'skill' => $skill, 'whole' => $whole, 'part' => $part, 'kind' => 'skills', 'idea' => $world->idea,
        ];
    }

    /**
     * @param array<string, string> $ids
     *
     * @return array<string, array<string, mixed>|string> a body that is good enough, by route
     */
    protected function bodies(array $ids): array
    {
        $world = $this->world;
        $step = ['entry' => 'e-choice', 'try' => 1];
        $slip = $this->as($world->lead)->get('POST', "/classes/{$ids['class']}/slips");
        $fresh = '01900000-0000-7000-8000-000000000001';
        $own = ['account' => 'oar.and.keel', 'password' => 'low water 1', 'pin' => $slip->text('slips.0.pin')];
        $this->as($world->students['Ada Okafor'])->get('PUT', '/me/account', $own);
        $announced = ['name' => 'x.wav', 'size' => 4, 'kinds' => ['sound']];

        return [
            'POST /session' => ['email' => 'lead@test.example', 'password' => 'a long password'],
            'PUT /account/password' => [
                'current' => 'a long password',
                'new' => 'another long one',
            ], 'PUT /account/colleagues/{marker}/password' => ['current' => 'a long password', 'new' => 'another long one'],
            'PUT /account/colleagues/{marker}/role' => ['role' => 'teacher'],
            'POST /account/colleagues' => [
                'name' => 'Wren', 'email' => 'wren@test.example', 'role' => 'marker', 'current' => 'a long password', 'new' => 'another long one',
            ],
            'PUT /account/team' => ['markStep' => '1/10', 'rungs' => [['name' => 'shore', 'from' => 0], ['name' => 'sea', 'from' => 40]]],
            'POST /join' => ['code' => $slip->text('code'), 'name' => $slip->text('slips.0.name'), 'pin' => $slip->text('slips.0.pin')],
            'POST /join/account' => ['account' => $own['account'], 'password' => $own['password']], 'PUT /me/account' => $own,
            'POST /bank/skills' => ['name' => 'Bearings'], 'POST /bank/misconceptions' => ['name' => 'Turns the wrong way'],
            'POST /invitations' => ['id' => $fresh, 'classId' => $ids['class'], 'topic' => 'Buoys'],
            'POST /proposals/{proposal}/send-back' => ['words' => 'Which coast?'],
            'PUT /me/proposals/{proposal}' => self::proposal($ids['invitation'], 'When is low water?', 1),
            'POST /me/proposals/{asked}/answer' => ['option' => 1, 'version' => 1],
            'POST /bank/folders' => ['name' => 'Revision'], 'PUT /bank/folders/{folder}' => ['name' => 'Other'],
            'PUT /bank/folders/{folder}/items' => ['put' => [$world->items['text']]],
            'POST /papers/{paper}/remarks' => ['id' => '0190a0a0-0000-7000-8000-0000000000c3', 'text' => 'Too long?'],
            'PUT /items/{item}/part-of' => ['into' => $world->items['text']],
            'PUT /bank/{kind}/{skill}/part-of' => ['into' => $ids['whole']],
            'PUT /bank/skills/{skill}' => ['name' => 'Soundings'], 'PUT /bank/misconceptions/{idea}' => ['name' => 'Another name'],
            'POST /items' => ['item' => [
                'version' => 1,
                'type' => 'text',
                'title' => 'New',
                'prompt' => '<p>What?</p>',
                'points' => '1',
                'skill' => null,
                'hint' => '',
                'explanation' => '',
                'rule' => ['forms' => [['text' => 'this', 'credit' => '1', 'feedback' => '', 'misconception' => null]]],
            ]],
            'POST /items/drawn' => ['html' => '<p>Sounded 2.2 m on the bar and waited.</p>'],
            'POST /items/notes' => ['text' => "Which?\nv a\nx b"], 'POST /items/notes/keep' => ['text' => "Which?\nv a\nx b", 'requestId' => '0190a0a0-0000-7000-8000-00000000000a'],
            'POST /room-questions' => ['itemId' => $ids['item'], 'classId' => $ids['class'], 'requestId' => $fresh],
            'PUT /handouts/{handout}/hands/{entry}' => ['first' => ['A' => 3, 'B' => 4], 'now' => ['A' => 7]],
            'POST /feedback-plans' => ['name' => 'Keys on return', 'tells' => ['verdict' => 'closed']],
            'POST /feedback-plans/read' => ['tells' => ['verdict' => 'closed'], 'attempts' => 2],
            'POST /bank/searches' => ['name' => 'Hard ones', 'query' => 'right=low'],
            'POST /items/{item}/remarks' => ['id' => '0190a0a0-0000-7000-8000-00000000000b', 'text' => 'Is this fair?', 'part' => 'prompt'],
            'POST /items/many/archive' => ['ids' => [$world->items['text']]], 'POST /items/many/restore' => ['ids' => [$world->items['text']]],
            'POST /items/many/copy' => ['ids' => [$world->items['text']], 'requestId' => '0190a0a0-0000-7000-8000-00000000000c'],
            'POST /items/many/skills' => ['skills' => [$world->items['text'] => null]],
            'POST /items/draws' => ['item' => $world->itemDocuments()['number'] + ['variables' => [['name' => 'h', 'from' => '1', 'to' => '3']]]],
            'POST /items/try' => [
                'item' => [
                    'version' => 1,
                    'type' => 'text',
                    'title' => 'New',
                    'prompt' => '<p>What?</p>',
                    'points' => '1',
                    'skill' => null,
                    'hint' => '',
                    'explanation' => '',
                    'rule' => ['forms' => [['text' => 'this', 'credit' => '1', 'feedback' => '', 'misconception' => null]]],
                ],
                'response' => ['text' => 'this'],
            ],
            'POST /items/try-all' => ['item' => $world->itemDocuments()['text'], 'responses' => [['text' => 'this']]],
            // A stranger's save is read before it is looked for, so it names nothing of this team.
            'PUT /items/{item}' => [
                'item' => [
                    'skill' => null,
                    'rule' => ['forms' => [['text' => 'this', 'credit' => '1', 'feedback' => '', 'misconception' => null]]],
                ] + $world->itemDocuments()['text'],
                'version' => 1,
            ],
            'POST /papers' => ['paper' => ['version' => 1, 'title' => 'New', 'mastery' => null, 'sections' => []]],
            'PUT /papers/{paper}' => [
                'paper' => $world->paperDocument(),
                'version' => 1,
            ], 'POST /papers/{paper}/publish' => ['version' => 1],
            'POST /papers/{paper}/rehearsal' => ['students' => 50],
            'POST /classes/from-files/preview' => self::schoolFiles(), 'POST /classes/from-files' => self::schoolFiles(),
            'POST /classes' => ['name' => '8 Tern'], 'PUT /classes/{class}' => ['name' => '8 Plover'],
            'PUT /classes/{class}/teachers' => ['teachers' => [$world->teacher->id]],
            'POST /classes/{class}/groups' => ['name' => 'Window side', 'students' => [$ids['student']]],
            'PUT /classes/{class}/groups/{group}' => ['name' => 'Door side'],
            'POST /classes/{class}/students/{student}/move' => ['to' => $ids['elsewhere']],
            'PUT /classes/{class}/students/{student}' => ['name' => 'Cleo Marsh-Reed'],
            'POST /classes/{class}/roster/preview' => ['text' => 'Dee Fox'], 'POST /classes/{class}/roster' => ['text' => 'Dee Fox'],
            'POST /handouts' => ['editionId' => $world->editionId, 'classes' => [$ids['class']], 'requestId' => $fresh],
            'PUT /handouts/{handout}' => ['visible' => true],
            'POST /handouts/{handout}/hold' => ['words' => 'Eyes up.'],
            'POST /handouts/{handout}/notes' => ['id' => '0190a0a0-0000-7000-8000-0000000000e3', 'words' => 'Five more minutes.'],
            'PUT /me/sittings/{sitting}/call' => ['id' => '0190a0a0-0000-7000-8000-0000000000e4', 'kind' => 'look'],
            'PUT /handouts/{handout}/climb' => ['teams' => [['name' => 'Keel', 'students' => [$ids['student']]], ['name' => 'Oar']]],
            'POST /handouts/{handout}/climb/draw' => ['teams' => 2],
            'POST /students/{student}/merge' => ['id' => $fresh, 'into' => $world->students['Benoît Larsen']->id],
            'POST /sittings/{handedIn}/corrections' => [
                'id' => $fresh, 'entry' => 'e-text', 'value' => ['text' => 'rock'], 'why' => 'a slip',
            ],
            'PUT /handouts/{handout}/pads/{pad}' => ['student' => null],
            'POST /presses/{handout}' => ['key' => 'none', 'presses' => [['pad' => '01', 'keys' => 'A']]],
            'PUT /classes/{class}/pictures' => ['on' => true],
            'POST /papers/on-paper' => ['title' => 'On paper', 'lines' => [['count' => 2, 'kind' => 'choice']], 'requestId' => $fresh],
            'POST /me/sittings/{sitting}/help' => ['id' => '0190a0a0-0000-7000-8000-0000000000e7', 'words' => 'Is it the rock?'],
            'POST /sittings/{sitting}/helps' => ['id' => $ids['help'], 'entry' => 'e-text', 'helper' => $ids['student']],
            'PUT /marks' => ['sittingId' => $ids['handedIn'], 'entry' => 'e-open', 'try' => 1, 'levels' => [0], 'markVersion' => 1],
            'PUT /second-marks' => ['sittingId' => $ids['handedIn'], 'entry' => 'e-open', 'try' => 1, 'levels' => [0]],
            'POST /handouts/{handout}/keys/{entry}/preview' => ['accept' => ['text' => 'Rocks']],
            'POST /handouts/{handout}/keys/{entry}' => ['accept' => ['text' => 'Rocks']],
            'POST /handouts/{handout}/groupings' => ['name' => 'G', 'groups' => [['name' => 'One']]],
            'POST /groupings/{grouping}/moves' => ['studentId' => $world->students['Ada Okafor']->id, 'groupId' => $ids['two']],
            'POST /groupings/{grouping}/follow-ups' => ['groups' => [[
                'groupId' => $ids['one'],
                'editionId' => $world->editionId,
                'requestId' => $fresh,
            ]]],
            'POST /uploads' => $announced, 'POST /me/sittings/{sitting}/uploads' => $announced,
            'PUT /uploads/{upload}' => 'RIF', 'PUT /me/sittings/{sitting}/uploads/{sent}' => 'RIF',
            'PUT /me/sittings/{sitting}/responses' => ['saves' => [[
                'entry' => 'e-text',
                'try' => 1,
                'value' => ['text' => 'mine'],
                'counter' => 5,
                'clientId' => 'a',
            ]]],
            'PUT /me/sittings/{last}/played' => [
                'file' => $ids['shown'], 'device' => '0190a0a0-0000-7000-8000-0000000000d1', 'millis' => 2000, 'times' => [1, 0],
            ],
            'POST /me/sittings/{sitting}/settle' => $step, 'POST /me/sittings/{sitting}/hint' => $step,
            'POST /me/sittings/{sitting}/go-on' => ['visit' => 1],
            'POST /me/sittings/{last}/hand-in' => ['visit' => 1], 'POST /me/sittings/{returned}/reply' => ['text' => 'Thanks'],
        ];
    }

    private function open(StudentUser $who, string $handout): string
    {
        return $this->as($who)->get('POST', "/me/handouts/$handout/open")->text('id');
    }
}
