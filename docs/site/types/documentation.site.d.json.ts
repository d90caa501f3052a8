// Made by fair-trail from "documentation.site.json", and anew whenever that changes. Do not edit it.
import type { Site } from 'fair-trail';

declare const site: Site<{
  readonly "name": string;
  readonly "entries": readonly [
    {
      readonly "id": "home";
      readonly "label": string;
      readonly "href": "/";
    },
    {
      readonly "id": "guides";
      readonly "label": string;
      readonly "href": "/guides/";
      readonly "entries": readonly [
        {
          readonly "id": "start";
          readonly "label": string;
          readonly "href": "/guides/start/";
        },
        {
          readonly "id": "site-map";
          readonly "label": string;
          readonly "href": "/guides/site-map/";
        },
        {
          readonly "id": "right-bar";
          readonly "label": string;
          readonly "href": "/guides/bar/";
        },
        {
          readonly "id": "routes";
          readonly "label": string;
          readonly "href": "/guides/routes/";
        },
        {
          readonly "id": "states";
          readonly "label": string;
          readonly "href": "/guides/states/";
        },
        {
          readonly "id": "small-windows";
          readonly "label": string;
          readonly "href": "/guides/small-windows/";
        },
        {
          readonly "id": "product";
          readonly "label": string;
          readonly "href": "/guides/product/";
        },
        {
          readonly "id": "motion";
          readonly "label": string;
          readonly "href": "/guides/motion/";
        },
        {
          readonly "id": "everyone";
          readonly "label": string;
          readonly "href": "/guides/everyone/";
        },
        {
          readonly "id": "test";
          readonly "label": string;
          readonly "href": "/guides/test/";
        },
        {
          readonly "id": "inspect";
          readonly "label": string;
          readonly "href": "/guides/audit-and-walk/";
        },
        {
          readonly "id": "publish";
          readonly "label": string;
          readonly "href": "/guides/publish/";
        },
        {
          readonly "id": "beside";
          readonly "label": string;
          readonly "href": "/guides/beside/";
        },
        {
          readonly "id": "from-hand-written";
          readonly "label": string;
          readonly "href": "/guides/from-hand-written/";
        },
        {
          readonly "id": "cookbook";
          readonly "label": string;
          readonly "href": "/guides/cookbook/";
        },
      ];
    },
    {
      readonly "id": "examples";
      readonly "label": string;
      readonly "href": "/examples/";
    },
    {
      readonly "id": "playground";
      readonly "label": string;
      readonly "href": "/playground/";
    },
    {
      readonly "id": "reference";
      readonly "label": string;
      readonly "href": "/reference/";
      readonly "entries": readonly [
        {
          readonly "id": "components";
          readonly "label": string;
          readonly "entries": readonly [
            {
              readonly "id": "bar";
              readonly "label": string;
              readonly "href": "/bar/";
            },
            {
              readonly "id": "sidebar";
              readonly "label": string;
              readonly "href": "/sidebar/";
            },
            {
              readonly "id": "react";
              readonly "label": string;
              readonly "href": "/react/";
            },
            {
              readonly "id": "vue";
              readonly "label": string;
              readonly "href": "/vue/";
            },
            {
              readonly "id": "elements";
              readonly "label": string;
              readonly "href": "/elements/";
            },
            {
              readonly "id": "html";
              readonly "label": string;
              readonly "href": "/html/";
            },
            {
              readonly "id": "frameworks";
              readonly "label": string;
              readonly "href": "/frameworks/";
            },
            {
              readonly "id": "routing";
              readonly "label": string;
              readonly "href": "/routing/";
            },
            {
              readonly "id": "tokens";
              readonly "label": string;
              readonly "href": "/tokens/";
            },
          ];
        },
        {
          readonly "id": "site-files";
          readonly "label": string;
          readonly "entries": readonly [
            {
              readonly "id": "site-file";
              readonly "label": string;
              readonly "href": "/site-file/";
            },
            {
              readonly "id": "first-app";
              readonly "label": string;
              readonly "href": "/first-app/";
            },
            {
              readonly "id": "vite";
              readonly "label": string;
              readonly "href": "/vite/";
            },
            {
              readonly "id": "publishing";
              readonly "label": string;
              readonly "href": "/publishing/";
            },
            {
              readonly "id": "new-project";
              readonly "label": string;
              readonly "href": "/new-project/";
            },
            {
              readonly "id": "show";
              readonly "label": string;
              readonly "href": "/show/";
            },
            {
              readonly "id": "check";
              readonly "label": string;
              readonly "href": "/check/";
            },
            {
              readonly "id": "convert";
              readonly "label": string;
              readonly "href": "/convert/";
            },
          ];
        },
        {
          readonly "id": "checking";
          readonly "label": string;
          readonly "entries": readonly [
            {
              readonly "id": "testing";
              readonly "label": string;
              readonly "href": "/testing/";
            },
            {
              readonly "id": "testing-any";
              readonly "label": string;
              readonly "href": "/testing-any-navigation/";
            },
            {
              readonly "id": "testing-in-ci";
              readonly "label": string;
              readonly "href": "/testing-in-ci/";
            },
            {
              readonly "id": "audit";
              readonly "label": string;
              readonly "href": "/audit/";
            },
            {
              readonly "id": "walk";
              readonly "label": string;
              readonly "href": "/walk/";
            },
            {
              readonly "id": "sheet";
              readonly "label": string;
              readonly "href": "/sheet/";
            },
            {
              readonly "id": "audit-standards";
              readonly "label": string;
              readonly "href": "/audit-standards/";
            },
            {
              readonly "id": "audit-coverage";
              readonly "label": string;
              readonly "href": "/audit-coverage/";
            },
          ];
        },
        {
          readonly "id": "code-lists";
          readonly "label": string;
          readonly "entries": readonly [
            {
              readonly "id": "codes";
              readonly "label": string;
              readonly "href": "/codes/";
            },
            {
              readonly "id": "problems";
              readonly "label": string;
              readonly "href": "/problems/";
            },
            {
              readonly "id": "warnings";
              readonly "label": string;
              readonly "href": "/warnings/";
            },
            {
              readonly "id": "glossary";
              readonly "label": string;
              readonly "href": "/glossary/";
            },
            {
              readonly "id": "commands";
              readonly "label": string;
              readonly "href": "/commands/";
            },
            {
              readonly "id": "rules";
              readonly "label": string;
              readonly "href": "/rules/";
              readonly "entries": readonly [
                {
                  readonly "id": "rule";
                  readonly "label": string;
                  readonly "href": "/rules/:rule/";
                  readonly "records": "rules";
                },
              ];
            },
          ];
        },
        {
          readonly "id": "exports";
          readonly "label": string;
          readonly "entries": readonly [
            {
              readonly "id": "export-core";
              readonly "label": string;
              readonly "href": "/reference/fair-trail/";
            },
            {
              readonly "id": "export-react";
              readonly "label": string;
              readonly "href": "/reference/fair-trail-react/";
            },
            {
              readonly "id": "export-vue";
              readonly "label": string;
              readonly "href": "/reference/fair-trail-vue/";
            },
            {
              readonly "id": "export-elements";
              readonly "label": string;
              readonly "href": "/reference/fair-trail-elements/";
            },
            {
              readonly "id": "export-html";
              readonly "label": string;
              readonly "href": "/reference/fair-trail-html/";
            },
            {
              readonly "id": "export-vite";
              readonly "label": string;
              readonly "href": "/reference/fair-trail-vite/";
            },
            {
              readonly "id": "export-dom";
              readonly "label": string;
              readonly "href": "/reference/fair-trail-dom/";
            },
            {
              readonly "id": "export-color";
              readonly "label": string;
              readonly "href": "/reference/fair-trail-color/";
            },
            {
              readonly "id": "export-sheet";
              readonly "label": string;
              readonly "href": "/reference/fair-trail-sheet/";
            },
            {
              readonly "id": "export-audit";
              readonly "label": string;
              readonly "href": "/reference/fair-trail-audit/";
            },
            {
              readonly "id": "export-testing";
              readonly "label": string;
              readonly "href": "/reference/fair-trail-testing/";
              readonly "entries": readonly [
                {
                  readonly "id": "export-vitest";
                  readonly "label": string;
                  readonly "href": "/reference/fair-trail-testing-vitest/";
                },
                {
                  readonly "id": "export-playwright";
                  readonly "label": string;
                  readonly "href": "/reference/fair-trail-testing-playwright/";
                },
                {
                  readonly "id": "export-webdriver";
                  readonly "label": string;
                  readonly "href": "/reference/fair-trail-testing-webdriver/";
                },
                {
                  readonly "id": "export-contracts";
                  readonly "label": string;
                  readonly "href": "/reference/fair-trail-testing-component-contracts/";
                },
                {
                  readonly "id": "export-window";
                  readonly "label": string;
                  readonly "href": "/reference/fair-trail-testing-simulated-window/";
                },
                {
                  readonly "id": "export-tap";
                  readonly "label": string;
                  readonly "href": "/reference/fair-trail-testing-tap/";
                },
                {
                  readonly "id": "export-testing-audit";
                  readonly "label": string;
                  readonly "href": "/reference/fair-trail-testing-audit/";
                },
              ];
            },
            {
              readonly "id": "export-cli";
              readonly "label": string;
              readonly "href": "/reference/fair-trail-cli-audit/";
            },
          ];
        },
      ];
    },
    {
      readonly "id": "project";
      readonly "label": string;
      readonly "entries": readonly [
        {
          readonly "id": "browsers";
          readonly "label": string;
          readonly "href": "/browsers/";
        },
        {
          readonly "id": "contributing";
          readonly "label": string;
          readonly "href": "/contributing/";
        },
        {
          readonly "id": "changelog";
          readonly "label": string;
          readonly "href": "/changelog/";
        },
        {
          readonly "id": "security";
          readonly "label": string;
          readonly "href": "/security/";
        },
        {
          readonly "id": "mutants";
          readonly "label": string;
          readonly "href": "/mutants/";
        },
        {
          readonly "id": "soak";
          readonly "label": string;
          readonly "href": "/soak/";
        },
        {
          readonly "id": "soak-notes";
          readonly "label": string;
          readonly "href": "/soak-notes/";
        },
      ];
    },
    {
      readonly "id": "search";
      readonly "label": string;
      readonly "href": "/search/";
      readonly "query": readonly [
        "q",
      ];
    },
  ];
  readonly "menus": {
    readonly "main": readonly [
      "start",
      "guides",
      "examples",
      "playground",
      "reference",
      "search",
    ];
    readonly "contents": readonly [
      {
        readonly "label": string;
        readonly "entries": readonly [
          "start",
          "site-map",
          "right-bar",
          "routes",
          "states",
          "small-windows",
          "product",
          "motion",
          "everyone",
          "test",
          "inspect",
          "publish",
          "beside",
          "from-hand-written",
          "cookbook",
        ];
      },
      {
        readonly "label": string;
        readonly "entries": readonly [
          "examples",
          "playground",
        ];
      },
      {
        readonly "label": string;
        readonly "entries": readonly [
          {
            readonly "entry": "components";
            readonly "depth": 2;
          },
          {
            readonly "entry": "site-files";
            readonly "depth": 2;
          },
          {
            readonly "entry": "checking";
            readonly "depth": 2;
          },
          {
            readonly "entry": "code-lists";
            readonly "depth": 2;
          },
          {
            readonly "entry": "exports";
            readonly "depth": 3;
          },
        ];
      },
      {
        readonly "label": string;
        readonly "entries": readonly [
          "browsers",
          "contributing",
          "changelog",
          "security",
          "mutants",
          "soak",
          "soak-notes",
        ];
      },
    ];
    readonly "footer": readonly [
      {
        readonly "label": string;
        readonly "entries": readonly [
          "start",
          "guides",
          "cookbook",
          "glossary",
        ];
      },
      {
        readonly "label": string;
        readonly "entries": readonly [
          "reference",
          "codes",
          "rules",
          "site-file",
        ];
      },
      {
        readonly "label": string;
        readonly "entries": readonly [
          "contributing",
          "changelog",
          "security",
          "browsers",
        ];
      },
    ];
  };
}>;
export default site;
