<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Platform;

use ChalkLadder\Server\Tests\ApiCase;
use Symfony\Component\Routing\RouterInterface;

/** Every route × every actor. A route that is not in the table fails the test: nothing is open by accident. */
final class AccessTest extends ApiCase
{
    private const ACTORS = ['nobody', 'student', 'other student', 'stranger', 'marker', 'teacher', 'lead'];
    /** What each actor gets: 401 sign in first, 403 not yours to do, 404 not found, ok let through (whatever the body then does). */
    private const TEACHERS = ['401', '401', '401', 'ok', '403', 'ok', 'ok'];
    private const TEAM = ['401', '401', '401', '404', '403', 'ok', 'ok'];
    private const STAFF = ['401', '401', '401', 'ok', 'ok', 'ok', 'ok'];
    private const STAFF_OF_TEAM = ['401', '401', '401', '404', 'ok', 'ok', 'ok'];
    private const STUDENTS = ['401', 'ok', 'ok', '401', '401', '401', '401'];
    private const OWN = ['401', 'ok', '404', '401', '401', '401', '401'];
    private const ANYBODY = ['ok', 'ok', 'ok', 'ok', 'ok', 'ok', 'ok'];

    private const TABLE = [
        'GET /session' => self::ANYBODY, 'POST /session' => self::ANYBODY, 'DELETE /session' => self::ANYBODY,
        'POST /join' => self::ANYBODY,
        // Its ticket stands in for a session; without one nobody gets in.
        'GET /print/papers/{id}' => ['401', '401', '401', '401', '401', '401', '401'],

        'GET /bank/terms' => self::TEACHERS, 'POST /bank/skills' => self::TEACHERS, 'POST /bank/misconceptions' => self::TEACHERS,
        'GET /items' => self::TEACHERS, 'POST /items' => self::TEACHERS, 'POST /items/try' => self::TEACHERS,
        'GET /items/{item}' => self::TEAM, 'PUT /items/{item}' => self::TEAM, 'DELETE /items/{item}' => self::TEAM, 'POST /items/{item}/restore' => self::TEAM,
        'POST /files' => self::TEACHERS, 'GET /files/{file}' => self::STAFF_OF_TEAM,
        'GET /papers' => self::TEACHERS, 'POST /papers' => self::TEACHERS,
        'GET /papers/{paper}' => self::TEAM, 'PUT /papers/{paper}' => self::TEAM, 'POST /papers/{paper}/publish' => self::TEAM, 'DELETE /papers/{paper}' => self::TEAM, 'POST /papers/{paper}/restore' => self::TEAM,
        'POST /papers/{paper}/preview' => self::TEAM, 'POST /papers/{paper}/rehearsal' => self::TEAM, 'GET /papers/{paper}/pdf' => ['401', '401', '401', '404', '403', null, null],
        'GET /classes' => self::TEACHERS, 'POST /classes' => self::TEACHERS, 'GET /classes/{class}' => self::TEAM, 'POST /classes/{class}/roster/preview' => self::TEAM, 'POST /classes/{class}/roster' => self::TEAM,
        'POST /classes/{class}/slips' => self::TEAM, 'POST /classes/{class}/students/{student}/pin' => self::TEAM, 'DELETE /classes/{class}/students/{student}' => self::TEAM, 'POST /classes/{class}/students/{student}/return' => self::TEAM,
        'GET /handouts' => self::TEACHERS, 'POST /handouts' => self::TEACHERS, 'GET /handouts/{handout}' => self::TEAM, 'PUT /handouts/{handout}' => self::TEAM, 'POST /handouts/{handout}/close' => self::TEAM, 'POST /handouts/{handout}/reopen' => self::TEAM,
        'GET /handouts/{handout}/lookout' => self::TEAM, 'GET /sittings/{sitting}' => self::TEAM, 'GET /handouts/{handout}/live' => self::TEAM,
        'GET /marking' => self::STAFF, 'GET /handouts/{handout}/marking/{entry}' => self::STAFF_OF_TEAM, 'PUT /marks' => self::STAFF, 'PUT /second-marks' => self::STAFF,
        'POST /handouts/{handout}/keys/{entry}/preview' => self::TEAM, 'POST /handouts/{handout}/keys/{entry}' => self::TEAM, 'POST /key-changes/{change}/undo' => ['401', '401', '401', '404', '403', '404', '404'],
        'GET /handouts/{handout}/return' => self::TEAM, 'POST /handouts/{handout}/return' => self::TEAM, 'POST /handouts/{handout}/take-back' => self::TEAM, 'GET /outbox' => self::TEACHERS, 'GET /trail' => self::TEACHERS,
        'GET /handouts/{handout}/results' => self::TEAM, 'GET /handouts/{handout}/results/model' => self::TEAM, 'GET /handouts/{handout}/results/skills' => self::TEAM, 'GET /handouts/{handout}/results/classes' => self::TEAM, 'GET /handouts/{handout}/results/change' => self::TEAM, 'GET /handouts/{handout}/results/markers' => self::TEAM, 'GET /handouts/{handout}/groups' => self::TEAM, 'POST /handouts/{handout}/groups' => self::TEAM, 'POST /handouts/{handout}/groupings' => self::TEAM,
        'GET /groupings' => self::TEACHERS, 'GET /groupings/{grouping}' => ['401', '401', '401', '404', '403', '404', '404'], 'POST /groupings/{grouping}/follow-ups' => ['401', '401', '401', '404', '403', '404', '404'], 'DELETE /groupings/{grouping}' => ['401', '401', '401', '404', '403', '404', '404'], 'POST /groupings/{grouping}/restore' => ['401', '401', '401', '404', '403', '404', '404'], 'POST /groupings/{grouping}/moves' => ['401', '401', '401', '404', '403', '404', '404'],
        'GET /handouts/{handout}/responses.csv' => self::TEAM, 'GET /handouts/{handout}/marks.csv' => self::TEAM,

        'GET /me' => self::STUDENTS, 'DELETE /me' => self::STUDENTS, 'GET /me/work' => self::STUDENTS,
        'GET /me/files/{file}' => ['401', '404', '404', '401', '401', '401', '401'],
        // The other student is of the same class and may open the same handout, but never this sitting.
        'POST /me/handouts/{handout}/open' => self::STUDENTS,
        'GET /me/sittings/{sitting}' => self::OWN, 'PUT /me/sittings/{sitting}/responses' => self::OWN, 'POST /me/sittings/{sitting}/settle' => self::OWN, 'POST /me/sittings/{sitting}/hint' => self::OWN,
        'POST /me/sittings/{sitting}/go-on' => self::OWN, 'POST /me/sittings/{sitting}/hand-in' => self::OWN, 'POST /me/sittings/{sitting}/reply' => self::OWN, 'GET /me/sittings/{sitting}/live' => self::OWN,
    ];

    private const BODIES = [
        'POST /me/sittings/{sitting}/settle' => ['entry' => 'e-choice'], 'POST /me/sittings/{sitting}/hint' => ['entry' => 'e-choice'],
        'POST /me/sittings/{sitting}/reply' => ['text' => 'Thanks'], 'POST /classes/{class}/roster/preview' => ['text' => 'Dee Fox'], 'POST /classes/{class}/roster' => ['text' => 'Dee Fox'],
        'POST /handouts/{handout}/groupings' => ['name' => 'G', 'groups' => [['name' => 'One']]],
        'POST /groupings/{grouping}/moves' => ['studentId' => '01900000-0000-7000-8000-000000000000', 'groupId' => '01900000-0000-7000-8000-000000000000'],
        'POST /groupings/{grouping}/follow-ups' => ['groups' => [['groupId' => '01900000-0000-7000-8000-000000000000', 'editionId' => '01900000-0000-7000-8000-000000000000', 'requestId' => '01900000-0000-7000-8000-000000000000']]],
    ];

    public function testEveryRouteIsInTheTable(): void
    {
        $routes = [];
        foreach (self::service(RouterInterface::class)->getRouteCollection() as $route) {
            foreach ($route->getMethods() as $method) {
                $routes[] = $method.' '.self::shape($route->getPath());
            }
        }
        $table = array_map(self::shape(...), array_keys(self::TABLE));
        sort($routes);
        sort($table);
        self::assertSame($routes, array_values(array_unique($table)));
    }

    public function testEveryActorGetsWhatTheTableSays(): void
    {
        $handout = $this->world->handOut();
        $sitting = $this->openSitting($handout);
        $file = $this->world->get(\ChalkLadder\Server\Bank\Files::class)->store($this->world->lead->teamId, 'image/png', 'x.png', 'x');
        $ids = ['id' => $this->world->paperId, 'item' => $this->world->items['choice'], 'paper' => $this->world->paperId, 'class' => $this->world->classId, 'student' => $this->world->students['Cleo Marsh']->id, 'handout' => $handout, 'sitting' => $sitting, 'entry' => 'e-choice', 'file' => $file, 'change' => '01900000-0000-7000-8000-000000000000', 'grouping' => '01900000-0000-7000-8000-000000000000'];
        $actors = ['nobody' => null, 'student' => $this->world->students['Ada Okafor'], 'other student' => $this->world->students['Benoît Larsen'], 'stranger' => $this->world->stranger, 'marker' => $this->world->marker, 'teacher' => $this->world->teacher, 'lead' => $this->world->lead];
        $bodies = self::BODIES + ['PUT /items/{item}' => ['item' => $this->world->itemDocuments()['text']], 'PUT /papers/{paper}' => ['paper' => $this->world->paperDocument()]];
        $wrong = [];
        foreach (self::TABLE as $key => $expected) {
            [$method, $path] = explode(' ', $key);
            $path = (string) preg_replace_callback('/\{(\w+)\}/', static fn (array $m): string => $ids[$m[1]], $path);
            foreach (self::ACTORS as $i => $actor) {
                if ($expected[$i] === null) {
                    continue;
                }
                $status = $this->as($actors[$actor])->ask($method, $path, $method === 'GET' ? null : ($bodies[$key] ?? []))->getStatusCode();
                // A body that is not good enough (422), or a clash (409), was let through to the act.
                $got = in_array($status, [200, 204, 409, 422], true) ? 'ok' : (string) $status;
                if ($got !== $expected[$i]) {
                    $wrong[] = "$key as $actor: expected {$expected[$i]}, got $status";
                }
            }
        }
        self::assertSame([], $wrong);
    }

    public function testARefusalSaysThatTheRoleIsTheReason(): void
    {
        $refusal = $this->as($this->world->marker)->refused(403, 'GET', '/papers');

        self::assertSame(['This is not yours to do.', 'Your role does not allow it.'], [$refusal->text('title'), $refusal->text('detail')]);
    }

    public function testWhatChangesSomethingMustComeFromOurOwnPages(): void
    {
        $this->as($this->world->teacher);
        foreach ([[], ['HTTP_X_CHALK_LADDER' => '1', 'HTTP_SEC_FETCH_SITE' => 'cross-site'], ['HTTP_X_CHALK_LADDER' => '1', 'HTTP_ORIGIN' => 'http://evil.example']] as $headers) {
            $this->browser->request('POST', 'http://localhost/api/bank/skills', [], [], ['CONTENT_TYPE' => 'application/json'] + $headers, '{"name": "Forged"}');
            self::assertSame(403, $this->browser->getResponse()->getStatusCode());
        }
        self::assertNull($this->database->row("SELECT 1 FROM skill WHERE name = 'Forged'"));
    }

    private function openSitting(string $handout): string
    {
        return $this->as($this->world->students['Ada Okafor'])->get('POST', "/me/handouts/$handout/open")->text('id');
    }

    private static function shape(string $path): string
    {
        return (string) preg_replace('/\{\w+\}/', '{}', str_replace('/api', '', $path));
    }
}
