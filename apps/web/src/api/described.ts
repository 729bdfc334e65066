/** Made from the description that the server gives of itself: `npm run api`. Nothing is to be written here. */
export interface paths {
    "/api/health": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Whether this process answers, reaches its database, and can store */
        get: operations["HealthController_health"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/projects": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** All projects, the one changed last first */
        get: operations["ProjectsController_list"];
        put?: never;
        /** An empty project */
        post: operations["ProjectsController_create"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/projects/demo": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** A fresh copy of the demo */
        post: operations["ProjectsController_demo"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/projects/{project}/copies": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Starts making a copy under this name */
        post: operations["ProjectsController_copy"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/projects/{project}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The whole project at its newest revision */
        get: operations["ProjectsController_open"];
        put?: never;
        post?: never;
        /** Deletes it for good; the body holds its name as typed */
        delete: operations["ProjectsController_remove"];
        options?: never;
        head?: never;
        /** Renames it: a revision like any other */
        patch: operations["ProjectsController_rename"];
        trace?: never;
    };
    "/api/projects/{project}/tally": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Counts its findings where they are not counted yet */
        get: operations["ProjectsController_tally"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/imports": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Starts making a project from a project file */
        post: operations["FilesController_read"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/projects/{project}/file": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The project file of the newest revision */
        get: operations["FilesController_write"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/projects/{project}/rehearsal": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Who stands where, and how everything runs */
        get: operations["RehearsalController_view"];
        put?: never;
        /** Lets the newest revision run on stand-ins; one that runs begins anew */
        post: operations["RehearsalController_start"];
        /** Ends it */
        delete: operations["RehearsalController_end"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/projects/{project}/rehearsal/exchanges/{exchange}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The values of an exchange at both ends, now */
        get: operations["RehearsalController_links"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/projects/{project}/rehearsal/do": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Cuts, joins, stops, starts, loads, releases, sets a value or takes it off, hands a station to another program, slows time */
        post: operations["RehearsalController_do"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/projects/{project}/changes": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The change sets after a revision, in order; more may follow */
        get: operations["ChangesController_since"];
        put?: never;
        /** Commits a change set, whole or not at all */
        post: operations["ChangesController_commit"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/events": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** One stream of the new revisions of some projects */
        get: operations["EventsController_stream"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/jobs/{job}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** How far it is */
        get: operations["JobsController_get"];
        put?: never;
        post?: never;
        /** Asks it to stop; what it did is then taken back */
        delete: operations["JobsController_stop"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/projects/{project}/revisions": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** What was changed, newest first */
        get: operations["RevisionsController_list"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/projects/{project}/revisions/{revision}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The whole project as it was at a revision */
        get: operations["RevisionsController_at"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
}
export type webhooks = Record<string, never>;
export interface components {
    schemas: {
        ProblemAnswer: {
            /** @description where: the path of a field, or a line and column */
            where: string;
            found: string;
            /** @description what would be right */
            expected: string;
        };
        ErrorAnswer: {
            /** @description a sentence for people */
            message: string;
            problems?: components["schemas"]["ProblemAnswer"][];
            /** @description why a change set was refused: what is stored, or what depends on what */
            refusal?: Record<string, never>;
        };
        TallyView: {
            blocker: number;
            doubt: number;
            hint: number;
        };
        ProjectSummary: {
            id: string;
            name: string;
            /** @description its newest; 0 is how it began */
            revision: number;
            /** Format: date-time */
            changed: string;
            /** @description null: not counted yet since the last change */
            tally: components["schemas"]["TallyView"] | null;
        };
        NameDto: {
            name: string;
        };
        DemoDto: {
            /** @enum {string} */
            demo: "kestrel-quay" | "kestrel-quay-as-agreed";
        };
        JobStarted: {
            /** @description follow it at /api/jobs/{job} */
            job: string;
        };
        RenameDto: {
            name: string;
            /** @description who renames it, as he names himself */
            author?: string;
        };
        StartDto: {
            /** @description who starts it, as he names himself */
            author?: string;
        };
        StandingView: {
            station: string;
            name: string;
            /** @description its address in the plan */
            planned: string;
            protocol: string;
            /** @description what to type into an outside client */
            typed: string;
        };
        RunningExchange: {
            id: string;
            /** @description ways on which data goes */
            links: number;
            up: number;
            /** @description lost, and noticed */
            lost: number;
            /** @description the first hop that stops one, in its own words */
            stopped: string | null;
            /** @description its data waits for a release */
            waits: boolean;
        };
        OutsideView: {
            station: string;
            /** @description where it answers, as typed; empty: it only calls */
            at: string;
        };
        DrivenView: {
            link: string;
            key: string;
            /** @description the value and its station */
            name: string;
            /** @description what it does, as it could be typed again */
            does: string;
        };
        RehearsalView: {
            /** @description the revision that runs */
            revision: number;
            by: string;
            /** Format: date-time */
            since: string;
            /** @description ms of the plant since it began */
            now: number;
            standings: components["schemas"]["StandingView"][];
            exchanges: components["schemas"]["RunningExchange"][];
            /** @description networks and ports that are cut */
            cuts: string[];
            /** @description stations that are stopped */
            stopped: string[];
            /** @description stations that are faulted */
            faulted: string[];
            /** @description stations that another program plays */
            outside: components["schemas"]["OutsideView"][];
            /** @description seconds of the plant in a second; 0: it stands */
            pace: number;
            /** @description what could not go on after the last edit */
            told: string[];
            /** @description what stands in for programs, to be taken off */
            driven: components["schemas"]["DrivenView"][];
        };
        ElsewhereView: {
            by: string;
            /** @description the process that runs it, or ran it */
            process: string;
            /**
             * Format: date-time
             * @description when it was last heard of
             */
            heard: string;
            /** @description it ended with its process */
            isOver: boolean;
        };
        RehearsalState: {
            /** @description null: no other process runs one or ran one */
            elsewhere: components["schemas"]["ElsewhereView"] | null;
            /** @description null: none does */
            running: components["schemas"]["RehearsalView"] | null;
        };
        ValueView: {
            key: string;
            source: string;
            sink: string;
            /** @description as its source writes it */
            sent: string;
            /** @description as its sink writes it */
            has: string;
        };
        LinkView: {
            id: string;
            lane: string;
            source: string;
            sink: string;
            /** @description the ends of the two */
            sourceEnd: string;
            sinkEnd: string;
            /** @description it goes only when somebody sends it */
            onDemand: boolean;
            /** @description ms since something last arrived */
            age: number | null;
            stopped: string | null;
            /** @description what the sink has */
            sinkHas: string;
            /** @description what the program of the source believes */
            sourceBelieves: string;
            /** @description what the status says */
            statusSays: string;
            values: components["schemas"]["ValueView"][];
        };
        DoDto: {
            /** @enum {string} */
            what: "cut" | "join" | "stop" | "fault" | "start" | "load" | "release" | "set" | "let go" | "send" | "hand over" | "take back" | "pace" | "step";
            /** @description the network or port to cut or join, the station, the exchange, or the link; empty for time */
            id: string;
            /** @description of a link: which value; empty: the whole block */
            key?: string;
            /** @description what it is set to and held at, as typed; where another program answers, `127.0.0.1:1502`, or empty */
            text?: string;
            /** @description seconds of the plant in a second, 0: it stands; or ms of a step */
            value?: number;
        };
        ChangeDto: {
            /** @enum {string} */
            kind: "project" | "profile" | "station" | "rack" | "module" | "network" | "port" | "area" | "structure" | "series" | "import" | "tag" | "copy" | "landing" | "exchange" | "end" | "lane" | "claim" | "acceptance" | "tick" | "setting" | "route" | "helper" | "expectation" | "found" | "work" | "temporary" | "point";
            id: string;
            /** @description into the entity; empty: the whole of it */
            path: string[];
            /** @description what is there; left out: nothing */
            before?: (string | null) | number | boolean | Record<string, never> | unknown[];
            /** @description what is to be there; left out: nothing */
            after?: (string | null) | number | boolean | Record<string, never> | unknown[];
        };
        ChangeSetDto: {
            /** @description made by whoever sends it; sent twice counts once */
            id: string;
            label: string;
            /** @description who made it, as he names himself */
            author?: string;
            changes: components["schemas"]["ChangeDto"][];
        };
        Committed: {
            revision: number;
        };
        JournalView: {
            revision: number;
            /**
             * Format: date-time
             * @description by the clock of the database
             */
            made: string;
            author: string | null;
            set: components["schemas"]["ChangeSetDto"];
        };
        JobView: {
            id: string;
            kind: string;
            /** @enum {string} */
            state: "running" | "done" | "failed" | "stopped";
            /** @description what it is doing, in words; done of total */
            step: string;
            done: number;
            total: number;
            /** @description the project that it made */
            project: string | null;
            /** @description why it ended without one */
            message: string | null;
            /** @description what is wrong with what it was given */
            problems: components["schemas"]["ProblemAnswer"][];
        };
        RevisionView: {
            revision: number;
            /** Format: date-time */
            made: string;
            author: string | null;
            label: string;
        };
    };
    responses: never;
    parameters: never;
    requestBodies: never;
    headers: never;
    pathItems: never;
}
export type $defs = Record<string, never>;
export interface operations {
    HealthController_health: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description The database does not answer, or too much waits; try again. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description The disk of the database is full. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
        };
    };
    ProjectsController_list: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ProjectSummary"][];
                };
            };
            /** @description The database does not answer, or too much waits; try again. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description The disk of the database is full. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
        };
    };
    ProjectsController_create: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NameDto"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ProjectSummary"];
                };
            };
            /** @description The request cannot be read; each field that is wrong is named. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description The database does not answer, or too much waits; try again. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description The disk of the database is full. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
        };
    };
    ProjectsController_demo: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["DemoDto"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ProjectSummary"];
                };
            };
            /** @description The request cannot be read; each field that is wrong is named. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description The database does not answer, or too much waits; try again. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description The disk of the database is full. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
        };
    };
    ProjectsController_copy: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NameDto"];
            };
        };
        responses: {
            202: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["JobStarted"];
                };
            };
            /** @description The request cannot be read; each field that is wrong is named. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description There is no such thing. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description The database does not answer, or too much waits; try again. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description The disk of the database is full. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
        };
    };
    ProjectsController_open: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description the sections of a project file, and `revision` */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description There is no such thing. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description The database does not answer, or too much waits; try again. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description The disk of the database is full. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
        };
    };
    ProjectsController_remove: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NameDto"];
            };
        };
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description The request cannot be read; each field that is wrong is named. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description There is no such thing. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description The database does not answer, or too much waits; try again. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description The disk of the database is full. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
        };
    };
    ProjectsController_rename: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["RenameDto"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ProjectSummary"];
                };
            };
            /** @description The request cannot be read; each field that is wrong is named. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description There is no such thing. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description The database does not answer, or too much waits; try again. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description The disk of the database is full. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
        };
    };
    ProjectsController_tally: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ProjectSummary"];
                };
            };
            /** @description There is no such thing. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description The database does not answer, or too much waits; try again. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description The disk of the database is full. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
        };
    };
    FilesController_read: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** @description a project file */
        requestBody: {
            content: {
                "application/octet-stream": string;
            };
        };
        responses: {
            202: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["JobStarted"];
                };
            };
            /** @description The request cannot be read; each field that is wrong is named. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description It is larger than the server takes. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description The database does not answer, or too much waits; try again. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description The disk of the database is full. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
        };
    };
    FilesController_write: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description a project file; its schema stands in docs */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description There is no such thing. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description The database does not answer, or too much waits; try again. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description The disk of the database is full. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
        };
    };
    RehearsalController_view: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["RehearsalState"];
                };
            };
            /** @description There is no such thing. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description The database does not answer, or too much waits; try again. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description The disk of the database is full. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
        };
    };
    RehearsalController_start: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["StartDto"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["RehearsalView"];
                };
            };
            /** @description The request cannot be read; each field that is wrong is named. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description There is no such thing. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description It meets another edit, or there is no room for more: both values, or what depends on what. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description The database does not answer, or too much waits; try again. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description The disk of the database is full. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
        };
    };
    RehearsalController_end: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description The database does not answer, or too much waits; try again. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description The disk of the database is full. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
        };
    };
    RehearsalController_links: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
                exchange: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["LinkView"][];
                };
            };
            /** @description There is no such thing. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description The database does not answer, or too much waits; try again. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description The disk of the database is full. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
        };
    };
    RehearsalController_do: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["DoDto"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["RehearsalView"];
                };
            };
            /** @description The request cannot be read; each field that is wrong is named. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description There is no such thing. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description The database does not answer, or too much waits; try again. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description The disk of the database is full. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
        };
    };
    ChangesController_since: {
        parameters: {
            query: {
                since: number;
            };
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["JournalView"][];
                };
            };
            /** @description The request cannot be read; each field that is wrong is named. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description There is no such thing. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description The database does not answer, or too much waits; try again. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description The disk of the database is full. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
        };
    };
    ChangesController_commit: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ChangeSetDto"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Committed"];
                };
            };
            /** @description The request cannot be read; each field that is wrong is named. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description There is no such thing. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description It meets another edit, or there is no room for more: both values, or what depends on what. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description It is larger than the server takes. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description It would leave something that cannot be. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description The database does not answer, or too much waits; try again. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description The disk of the database is full. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
        };
    };
    EventsController_stream: {
        parameters: {
            query: {
                /** @description ids with commas between them */
                projects: string;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description events of `{ project, revision, entry }`; entry: `{ revision, author, set }`, or null */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description The request cannot be read; each field that is wrong is named. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description There is no such thing. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description There are too many already. */
            429: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description The database does not answer, or too much waits; try again. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description The disk of the database is full. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
        };
    };
    JobsController_get: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                job: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["JobView"];
                };
            };
            /** @description There is no such thing. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description The database does not answer, or too much waits; try again. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description The disk of the database is full. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
        };
    };
    JobsController_stop: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                job: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            202: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description The database does not answer, or too much waits; try again. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description The disk of the database is full. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
        };
    };
    RevisionsController_list: {
        parameters: {
            query?: {
                /** @description continues the list */
                before?: number;
            };
            header?: never;
            path: {
                project: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["RevisionView"][];
                };
            };
            /** @description The request cannot be read; each field that is wrong is named. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description There is no such thing. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description The database does not answer, or too much waits; try again. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description The disk of the database is full. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
        };
    };
    RevisionsController_at: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                project: string;
                revision: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description the sections of a project file, and `revision` */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description There is no such thing. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description The database does not answer, or too much waits; try again. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
            /** @description The disk of the database is full. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ErrorAnswer"];
                };
            };
        };
    };
}
